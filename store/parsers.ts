/** All that needs Joi or a parser, behind one dynamic import, so that none of it weighs on the first screen. */
export { checkEnvelope, checkEvents, checkRecord, checkStations, openEventList } from './check';
export { createFiles } from './files';
export { decodeText } from '@/formats/text';
export { readGeoJSON, writeGeoJSON } from '@/formats/geojson';
export { readGPX, writeGPX } from '@/formats/gpx';
export { checkWeather } from './weatherCheck';
export { readWeather } from '@/formats/weatherFile';
export { faultsOf } from './faults';
export { readKit, writeKit } from './kitFile';
export { csvOf } from '@/formats/csv';
export { toldPage } from '@/formats/page';

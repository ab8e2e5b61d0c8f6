import fs from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import Joi from 'joi';
import { type StationPoint, writeGaugeCsv } from '@/formats/gaugeCsvOut';
import { writeWaterML } from '@/formats/waterml';

import { sent } from '@/demo/river/gauge';
import { normalStage } from '@/demo/river/river';
import { foretold } from '@/demo/river/weather';
import { climateAt, STATIONS, stationNamed } from '@/demo/stations';
import { DAY_MS, HOUR_MS, own } from '@/core/units';

interface Window {
  readonly from: number;
  readonly to: number;
  readonly step?: number;
}

/** The simulated rivers flow in these years. */
const [FIRST_YEAR, LAST_YEAR] = [1970, 2200];
/** A date, with a time if one is given, that exists: the 30th of February does not. */
const isoTime = Joi.string()
  .isoDate()
  .custom((text: string, helpers) => {
    const [year, month, day] = text.slice(0, 10).split('-').map(Number) as [number, number, number];
    const exists = new Date(Date.UTC(year, month - 1, day)).getUTCDate() === day;
    const at = Date.parse(text);
    if (!exists || !Number.isFinite(at)) return helpers.error('date.exists');
    return year >= FIRST_YEAR && year < LAST_YEAR ? at : helpers.error('date.range');
  })
  .required()
  .messages({
    'date.range': `{{#label}} must lie between ${FIRST_YEAR} and ${LAST_YEAR}`,
    'date.exists': '{{#label}} is no date that exists',
    'string.isoDate': '{{#label}} is no ISO time',
  });
/** Hours between values: one, unless fewer values of a longer time are asked for. */
const stepH = Joi.string()
  .pattern(/^([1-9]|1\d|2[0-4])$/, 'whole hours from 1 to 24')
  .custom(Number);
const windowSchema = Joi.object({ from: isoTime, to: isoTime, step: stepH }).custom((w: Window, helpers) =>
  w.to < w.from ? helpers.message({ custom: '"to" lies before "from"' }) : w,
);
const degrees = (most: number) =>
  Joi.string()
    .pattern(/^-?\d{1,3}(\.\d+)?$/, 'degrees')
    .custom((text: string, helpers) => (Math.abs(Number(text)) <= most ? Number(text) : helpers.error('any.invalid')))
    .required();
const placeSchema = Joi.object({ lat: degrees(90), lon: degrees(180), from: isoTime });
/** So far ahead the weather is foretold, h. */
const FORETOLD_H = 72;
/** So many days of hours at once, or as many values further apart. */
const LONGEST_MS = 60 * DAY_MS;
const LONGEST_YEAR_MS = 365 * DAY_MS;
const YEAR_S = 31_536_000;
/** Requests a minute from one address: of the gauges, and of files, of which a page loads some fifty. */
const API_LIMIT = 300;
const FILE_LIMIT = 3_000;

interface AppOptions {
  /** Folder of the exported web application. */
  readonly dist: string;
  /** Whether an empty browser should be filled with the demo scenario. */
  readonly demo: boolean;
  /** Lets pages of other ports read the gauges: `npm run dev` serves the page from its own. */
  readonly dev?: boolean;
  /** Proxies in front whose word about the caller's address is taken: a number, or addresses (Express, "trust proxy"). */
  readonly trustProxy?: number | string;
  readonly fileLimit?: number;
}

/** What a station sends, in the formats that it is served in. */
const WRITERS: Readonly<
  Record<string, (s: { id: string; name: string }, points: readonly StationPoint[]) => { type: string; body: string }>
> = {
  waterml: (station, points) => {
    const of = (property: string, unit: string, value: (p: StationPoint) => number) => ({
      ...{ property, unit },
      points: points.map((p) => ({ at: p.at, value: value(p) })).filter((p) => Number.isFinite(p.value)),
    });
    const series = [
      of('stage', 'm', (p) => p.stageM),
      of('discharge', 'm3/s', (p) => p.flowM3s),
      of('temperature', 'Cel', (p) => p.tempC),
      of('rainfall', 'mm', (p) => p.rainMm ?? NaN),
      of('air temperature', 'Cel', (p) => p.airTempC ?? NaN),
    ];
    return { type: 'application/xml', body: writeWaterML(station, series) };
  },
  csv: (_station, points) => ({ type: 'text/csv', body: writeGaugeCsv(points) }),
};

const say = (res: Response, status: number, error: string) => void res.status(status).json({ error });

/** The web application and the simulated gauge stations. */
export function createApp({ dist, demo, dev = false, trustProxy, fileLimit = FILE_LIMIT }: AppOptions) {
  const app = express();
  app.set('env', 'production'); // whatever the environment says: no stacks and paths in answers
  if (trustProxy !== undefined) app.set('trust proxy', trustProxy);
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'self'"],
          fontSrc: ["'self'"],
          scriptSrc: ["'self'"],
          scriptSrcAttr: ["'none'"],
          styleSrc: ["'self'", "'unsafe-inline'"], // react-native-web and the boot page write style elements
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
        },
      },
      strictTransportSecurity: false, // served over plain http on the user's own machine
    }),
  );
  app.use(compression());
  const limited = (limit: number) =>
    rateLimit({
      windowMs: 60_000,
      limit,
      standardHeaders: 'draft-7',
      legacyHeaders: false,
      message: { error: 'Too many requests from this address: wait a minute.' },
      // Without a proxy that is trusted its word about the caller is ignored; that is meant so.
      validate: { xForwardedForHeader: false },
    });
  app.use('/api', limited(API_LIMIT));
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    if (dev) res.setHeader('Access-Control-Allow-Origin', '*');
    next();
  });
  app.get('/api/health', (_req, res) => void res.json({ ok: true }));
  app.get('/api/start', (_req, res) => void res.json({ demo }));

  app.get('/api/stations', (_req, res) => {
    res.json(
      STATIONS.map((s) => ({
        id: s.id,
        name: s.name,
        latDeg: s.latDeg,
        lonDeg: s.lonDeg,
        normalStageM: normalStage(s),
        simulated: true,
      })),
    );
  });

  app.get('/api/weather', (req, res) => {
    const { value, error } = placeSchema.validate(req.query, { convert: false });
    if (error) return say(res, 400, `${error.message}: give lat, lon in degrees and from as an ISO time.`);
    const issuedAt = Math.floor(value.from / HOUR_MS) * HOUR_MS;
    const hours = foretold(climateAt(value.lat, value.lon), value.lon, issuedAt, FORETOLD_H);
    res.json({ issuedAt, hours, simulated: true });
  });

  app.get('/api/stations/:id/:format', (req, res, next) => {
    const { id, format } = req.params;
    const write = own(WRITERS, format);
    if (!write) return next();
    const found = stationNamed(id);
    if (!found) return say(res, 404, `There is no station "${id}".`);
    const { value, error } = windowSchema.validate(req.query, { convert: false });
    if (error) return say(res, 400, `${error.message}: give from and to as ISO times.`);
    const { from, to, step = 1 } = value as Window;
    if (to - from > Math.min(LONGEST_YEAR_MS, step * LONGEST_MS))
      return say(res, 400, `At most ${Math.min(365, 60 * step)} days at once: bring from and to closer together.`);
    const { type, body } = write(found.station, sent(found.gauge, from, to, step * HOUR_MS));
    res.type(type).send(body);
  });
  app.use('/api', (_req, res) => say(res, 404, 'There is nothing at this address.'));

  app.use(
    limited(fileLimit),
    express.static(dist, {
      index: false,
      dotfiles: 'ignore',
      setHeaders(res, file) {
        const hashed = /[.-][0-9a-f]{32}\./.test(path.basename(file));
        res.setHeader('Cache-Control', hashed ? `public, max-age=${YEAR_S}, immutable` : 'no-cache');
      },
    }),
  );
  // One page serves every route, whatever stands in its address. Only a browser that opens a page asks for HTML by name.
  const page = path.join(dist, 'index.html');
  app.get('/{*path}', (req, res, next) => {
    if (!req.headers.accept?.includes('text/html') || !fs.existsSync(page)) return next();
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile(page);
  });
  app.use((_req, res) => void res.status(404).type('text/plain').send('There is nothing at this address.\n'));
  const failed: ErrorRequestHandler = (error: { status?: number }, _req, res, next) => {
    if (res.headersSent) return next(error);
    const status = error.status && error.status < 500 ? error.status : 500;
    if (status === 500) console.error(error);
    say(res, status, status === 500 ? 'The server could not answer.' : 'This address or request is malformed.');
  };
  app.use(failed);
  return app;
}

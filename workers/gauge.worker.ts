import { expose } from 'comlink';
import { readGaugeText } from '@/formats/gaugeFeed';

const api = { points: (text: string) => readGaugeText(text, Date.now()).points };
export type GaugeWorker = typeof api;

expose(api);

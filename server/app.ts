import fs from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import Joi from 'joi';
import { writeWaterML } from '@/core/formats/waterml';
import { gaugeSeries, normalStage } from '@/core/gauge';

import { STATIONS } from '@/demo/stations';

const windowSchema = Joi.object({
  from: Joi.date().iso().required(),
  to: Joi.date().iso().min(Joi.ref('from')).required(),
});
const LONGEST_MS = 60 * 24 * 3_600_000;
const YEAR_S = 31_536_000;

export interface AppOptions {
  /** Folder of the exported web application. */
  readonly dist: string;
  /** Whether an empty browser should be filled with the demo scenario. */
  readonly demo: boolean;
}

/** The web application and the simulated gauge stations. */
export function createApp({ dist, demo }: AppOptions) {
  const app = express();
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"], // react-native-web and the boot page write style elements
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          upgradeInsecureRequests: null, // served over plain http on the user's own machine
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use('/api', rateLimit({ windowMs: 60_000, limit: 300, standardHeaders: 'draft-7', legacyHeaders: false }));
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    // `npm run dev` serves the page from another port.
    if (process.env.NODE_ENV !== 'production') res.setHeader('Access-Control-Allow-Origin', '*');
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

  app.get('/api/stations/:id/waterml', (req, res) => {
    const station = STATIONS.find((s) => s.id === req.params.id);
    if (!station) return void res.status(404).json({ error: `There is no station "${req.params.id}".` });
    const { value, error } = windowSchema.validate(req.query);
    if (error) return void res.status(400).json({ error: `${error.message}: give from and to as ISO times.` });
    const { from, to } = value as { from: Date; to: Date };
    if (to.getTime() - from.getTime() > LONGEST_MS)
      return void res.status(400).json({ error: 'At most 60 days at once: bring from and to closer together.' });
    const points = gaugeSeries(station, from.getTime(), to.getTime());
    res.type('application/xml').send(
      writeWaterML(station, [
        { property: 'stage', unit: 'm', points: points.map((p) => ({ at: p.at, value: p.stageM })) },
        { property: 'discharge', unit: 'm3/s', points: points.map((p) => ({ at: p.at, value: p.flowM3s })) },
        { property: 'temperature', unit: 'Cel', points: points.map((p) => ({ at: p.at, value: p.tempC })) },
      ]),
    );
  });
  app.use('/api', (_req, res) => void res.status(404).json({ error: 'There is nothing at this address.' }));

  app.use(
    express.static(dist, {
      index: false,
      setHeaders(res, file) {
        const hashed = /[.-][0-9a-f]{32}\./.test(path.basename(file));
        res.setHeader('Cache-Control', hashed ? `public, max-age=${YEAR_S}, immutable` : 'no-cache');
      },
    }),
  );
  // One page serves every route; a missing file stays a 404.
  const page = path.join(dist, 'index.html');
  app.get('/{*path}', (req, res, next) => {
    if (!req.accepts('html') || path.extname(req.path) || !fs.existsSync(page)) return next();
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile(page);
  });
  return app;
}

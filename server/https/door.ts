import express from 'express';
import helmet from 'helmet';

const FILE = '/wanderung.crt';

/** Steps on a phone, in its own words for things; they differ a little from maker to maker. */
const STEPS = {
  Android: [
    'Tap “Get the certificate”; keep the file.',
    'Open Settings and search for “CA certificate”. Choose it, read the warning, choose the file.',
    'Come back here and tap “Open Wanderung”. In the browser’s menu, choose “Add to home screen”.',
  ],
  'iPhone and iPad': [
    'Open this page in the phone’s own browser. Tap “Get the certificate” and allow it.',
    'Open Settings. Tap “Profile downloaded”, then “Install”.',
    'In Settings, open General, About, Certificate Trust Settings, and switch it on for “Wanderung on …”.',
    'Come back here and tap “Open Wanderung”. From the share menu, choose “Add to Home Screen”.',
  ],
};

/**
 * The page at which a phone takes this machine's certificate, over plain http: before that it would trust no other.
 *
 * @param authority the certificate to take, PEM
 * @param port of the application itself, over https
 */
export function doorFor(authority: string, port: number): express.Express {
  const app = express();
  app.set('env', 'production');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"] },
      },
      strictTransportSecurity: false,
    }),
  );
  app.get(FILE, (_req, res) => void res.type('application/x-x509-ca-cert').send(authority));
  app.get('/', (req, res) => void res.type('html').send(page(req.hostname, port)));
  app.use((_req, res) => void res.redirect('/'));
  return app;
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

function page(host: string, port: number): string {
  const lists = Object.entries(STEPS).map(
    ([kind, steps]) => `<h2>${kind}</h2><ol>${steps.map((step) => `<li>${step}</li>`).join('')}</ol>`,
  );
  return `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>Wanderung on this phone</title>
<style>body{font:18px/1.5 system-ui,sans-serif;margin:0 auto;padding:16px;max-width:34em;background:#FAF8F2;color:#17211E}
a{display:block;margin:12px 0;padding:14px;border-radius:14px;background:#17211E;color:#FAF8F2;text-align:center;font-weight:700;text-decoration:none}
a.quiet{background:none;color:#17211E;border:2px solid #17211E}</style></head><body>
<h1>Wanderung on this phone</h1>
<p>Once, your phone has to trust this computer. Then Wanderung keeps your log on the phone, knows where you stand and works without a signal.</p>
<a href="${FILE}">Get the certificate</a>
<a class="quiet" href="https://${escaped(host)}:${port}/">Open Wanderung</a>
${lists.join('\n')}
<h2>What you trust</h2>
<p>This certificate vouches for this computer only: its signing key was thrown away when it was made. Take it in a network that you trust. When you no longer need it, remove it where you installed it.</p>
</body></html>`;
}

import { IncomingMessage, ServerResponse } from 'node:http';
import { Socket } from 'node:net';
import helmet from 'helmet';

const NOTHING_ELSE = [
  "default-src 'self'",
  "script-src 'self'",
  "style-src 'self'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
];

/** What the pages need of the device: the camera opens through a file field, which asks for no permission of its own. */
const PERMISSIONS = [
  ...['accelerometer', 'bluetooth', 'camera', 'display-capture', 'geolocation', 'gyroscope', 'hid'],
  ...['magnetometer', 'microphone', 'midi', 'payment', 'serial', 'usb', 'xr-spatial-tracking'],
]
  .map((name) => `${name}=()`)
  .join(', ');

/** The headers that helmet would set, collected. The content security policy is ours; HSTS belongs to whoever ends TLS. */
function fromHelmet(): Record<string, string> {
  const request = new IncomingMessage(new Socket());
  const reply = new ServerResponse(request);
  helmet({ contentSecurityPolicy: false, strictTransportSecurity: false, xFrameOptions: { action: 'deny' } })(
    request,
    reply,
    () => undefined,
  );
  return Object.fromEntries(Object.entries(reply.getHeaders()).map(([name, value]) => [name, String(value)]));
}

/** What every answer carries, whether a page, the thing asked for or a refusal, and also where no route was found. */
export const SECURITY_HEADERS: Readonly<Record<string, string>> = {
  ...fromHelmet(),
  'content-security-policy': NOTHING_ELSE.join('; '),
  'permissions-policy': PERMISSIONS,
};

/** The policy of the worker that solves: its solver is compiled in the browser (WebAssembly); no page may do so. */
export const SOLVER_POLICY = NOTHING_ELSE.join('; ').replace(
  "script-src 'self'",
  "script-src 'self' 'wasm-unsafe-eval'",
);

/** The policy of the pages that describe the API: they bring styles of their own, and no script of theirs stands in the page. */
export const DOCUMENTS_POLICY = NOTHING_ELSE.join('; ').replace(
  "style-src 'self'",
  "style-src 'self' 'unsafe-inline'",
);

/** The policy of a page whose styles carry a nonce. */
export function pagePolicy(nonce: string): string {
  return NOTHING_ELSE.join('; ').replace("style-src 'self'", `style-src 'self' 'nonce-${nonce}'`);
}

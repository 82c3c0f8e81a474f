import { randomBytes } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import QRCode from 'qrcode';
import { pagePolicy, SECURITY_HEADERS } from '../gate/securityHeaders.js';
import { fingerprint } from './certificates.js';
import type { LanCertificates } from './lanCertificates.js';
import { trustHtml } from './trustHtml.js';

export const TRUST_PATH = '/trust';
export const AUTHORITY_PATH = '/trust/yugator-authority.crt';

interface Told extends LanCertificates {
  readonly port: number;
  readonly siteName: string;
}

/** The name under which somebody came, where it is one of ours; else the one to be told. */
function nameOf(request: IncomingMessage, names: readonly string[]): string {
  const asked = (request.headers.host ?? '').toLowerCase().replace(/:\d+$/, '');
  return names.includes(asked) ? asked : (names[0] ?? 'localhost');
}

/**
 * What is answered without TLS: how to trust this machine, the certificate of its authority, and the way to that page for everything
 * else. Where the certificate is not of our making there is nothing to trust, and all ways lead to TLS.
 */
export async function trustPage(request: IncomingMessage, reply: ServerResponse, told: Told): Promise<void> {
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  const name = nameOf(request, told.names);
  const secure = `https://${name}:${told.port}`;
  const plain = `http://${name}:${told.port}`;
  for (const [header, value] of Object.entries(SECURITY_HEADERS)) reply.setHeader(header, value);
  if (request.method !== 'GET' && request.method !== 'HEAD') {
    reply.writeHead(405, { allow: 'GET, HEAD' }).end();
    return;
  }
  if (!told.authority) {
    reply.writeHead(308, { location: `${secure}${path}` }).end();
    return;
  }
  if (path === AUTHORITY_PATH) {
    reply.writeHead(200, {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="yugator-authority.crt"',
      'cache-control': 'no-store',
    });
    reply.end(told.authority.certificate);
    return;
  }
  if (path !== TRUST_PATH) {
    reply.writeHead(302, { location: `${plain}${TRUST_PATH}`, 'cache-control': 'no-store' }).end();
    return;
  }
  const nonce = randomBytes(16).toString('base64');
  const html = trustHtml({
    nonce,
    secure,
    siteName: told.siteName,
    authorityPath: AUTHORITY_PATH,
    fingerprint: await fingerprint(told.authority.certificate),
    codeOfThis: await QRCode.toString(`${plain}${TRUST_PATH}`, { type: 'svg', margin: 1 }),
    codeOfApp: await QRCode.toString(`${secure}/`, { type: 'svg', margin: 1 }),
  });
  reply.writeHead(200, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': pagePolicy(nonce),
    'cache-control': 'no-store',
  });
  reply.end(html);
}

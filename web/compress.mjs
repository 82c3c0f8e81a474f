// Lays a Brotli and a gzip version beside each built file, as small as they get, so that the server need not compress any.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXTS = /\.(js|css|svg|json|html)$/;
/** What fits into one packet is not made smaller. */
const LEAST_BYTES = 1_024;
const dist = fileURLToPath(new URL('dist/', import.meta.url));

for (const name of readdirSync(dist, { recursive: true })) {
  if (!TEXTS.test(name)) continue;
  const bytes = readFileSync(join(dist, name));
  if (bytes.length < LEAST_BYTES) continue;
  const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };
  writeFileSync(join(dist, `${name}.br`), brotliCompressSync(bytes, { params }));
  writeFileSync(join(dist, `${name}.gz`), gzipSync(bytes, { level: constants.Z_BEST_COMPRESSION }));
}

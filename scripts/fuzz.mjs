// Sends hostile inputs to the server, as many as are asked for: npm run fuzz -- --inputs 50000 --seed 7
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';

const root = fileURLToPath(new URL('..', import.meta.url));
const { values } = parseArgs({
  options: { inputs: { type: 'string', default: '50000' }, seed: { type: 'string', default: '1' } },
});
for (const [name, value] of Object.entries(values)) {
  if (/^\d+$/.test(value)) continue;
  console.error(`--${name} takes a whole number, such as --${name} 50000.`);
  process.exit(2);
}
const args = ['jest', '-c', 'server/jest.config.cjs', '--rootDir', 'server', 'security/fuzz'];
const { status } = spawnSync('npx', args, {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, FUZZ_INPUTS: values.inputs, FUZZ_SEED: values.seed },
});
process.exit(status ?? 1);

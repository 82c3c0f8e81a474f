import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { serviceGuide } from '../testing/services/serviceGuide.js';
import { SERVICES } from '../testing/services/services.js';

const FOLDER = join(__dirname, '..', '..', '..', 'docs', 'services');
const pageOf = (file: string) => join(FOLDER, `${file}.md`);

/** `WRITE_SERVICES=1 ./test server` writes them anew: read the difference as a mechanic would before it is kept. */
if (process.env['WRITE_SERVICES'])
  for (const service of SERVICES) writeFileSync(pageOf(service.file), serviceGuide(service));

describe('the whole services of docs/services', () => {
  it.each(SERVICES.map((service) => [service.title, service] as const))(
    '%s is the sheet that is composed today',
    (_, service) => {
      expect(existsSync(pageOf(service.file))).toBe(true);
      expect(serviceGuide(service)).toBe(readFileSync(pageOf(service.file), 'utf8'));
    },
  );

  it('are all that stand there, and the README of docs/services names each', () => {
    const pages = readdirSync(FOLDER).filter((name) => name !== 'README.md');
    expect(pages.sort()).toEqual(SERVICES.map(({ file }) => `${file}.md`).sort());
    const list = readFileSync(join(FOLDER, 'README.md'), 'utf8');
    for (const { file, title } of SERVICES) expect(list).toContain(`[${title}](${file}.md)`);
  });
});

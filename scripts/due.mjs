// Reads a fleet export and prints how every item stands on a day: the same answers as the screens, for scripts and doubters.
//   npm run -s due -- fleet.json --today 2027-05-13
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import './prepare.mjs';

// Only now is everything built.
await import('reflect-metadata');
const { checkBody, fileFaults, FleetFileDto, MOST_FAULTS, NOTHING_KNOWN } =
  await import('@yugator/contracts');
const { civilDateAt, dueOfFleet, parseCivilDate } = await import('@yugator/core');

const HALF_A_DAY_MS = 43_200_000;
const USAGE = 'Usage: npm run -s due -- fleet.json [--today 2027-05-13]';

function fail(...lines) {
  for (const line of lines) console.error(line);
  process.exit(1);
}

function read(name) {
  let text;
  try {
    text = readFileSync(name, 'utf8');
  } catch (error) {
    fail(`${name} cannot be read: ${error.message}`, USAGE);
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    return fail(`${name} is no JSON: ${error.message}`);
  }
}

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { today: { type: 'string' } },
});
const [name] = positionals;
if (!name || positionals.length > 1) fail(USAGE);
const asked = values.today === undefined ? null : parseCivilDate(values.today);
if (values.today !== undefined && !asked) {
  fail(`"${values.today}" is no day that exists. Write it as 2027-05-13.`);
}
const { value: file, faults: shape } = checkBody(FleetFileDto, read(name));
// What is asked of a day to come counts what is read until then, wherever on earth the shed lies.
const now = Math.max(Date.now(), asked ? Date.parse(`${asked}T23:59:59Z`) + HALF_A_DAY_MS : 0);
const faults = (shape ?? fileFaults(file, NOTHING_KNOWN, now, '')).slice(0, MOST_FAULTS);
if (faults.length) {
  const more = faults.length < MOST_FAULTS ? '' : 'at least ';
  fail(
    `${name} has ${more}${faults.length} faults:`,
    ...faults.map(({ pointer, detail }) => `  ${pointer.slice(1)}: ${detail}`),
  );
}
// Without a day, that of the shed.
const today = asked ?? civilDateAt(Date.now(), file.site.timeZone);
process.stdout.write(`${JSON.stringify({ today, lines: dueOfFleet(file, today) }, null, 2)}\n`);

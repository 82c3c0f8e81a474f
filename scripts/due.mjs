// Reads a fleet export and prints how every item stands on a day: the same answers as the screens, for scripts and doubters.
//   npm run -s due -- fleet.json --today 2027-05-13
import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { FleetFileDto } from '@yugator/contracts';
import { dueOfFleet, parseCivilDate } from '@yugator/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';

const USAGE = 'Usage: npm run -s due -- fleet.json [--today 2027-05-13]';

function fail(...lines) {
  for (const line of lines) console.error(line);
  process.exit(1);
}

/** Each fault with the place in the file that it concerns. */
function faultsOf(errors, path = '') {
  return errors.flatMap((error) => {
    const pointer = `${path}/${error.property}`;
    const [message] = Object.values(error.constraints ?? {});
    return [...(message ? [`${pointer}: ${message}`] : []), ...faultsOf(error.children ?? [], pointer)];
  });
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
const today = parseCivilDate(values.today ?? new Date().toISOString().slice(0, 10));
if (!today) fail(`"${values.today}" is no day that exists. Write it as 2027-05-13.`);
const file = plainToInstance(FleetFileDto, read(name));
const faults = faultsOf(
  validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
);
if (faults.length) fail(`${name} has ${faults.length} faults:`, ...faults.map((fault) => `  ${fault}`));
console.log(JSON.stringify({ today, lines: dueOfFleet(file, today) }, null, 2));

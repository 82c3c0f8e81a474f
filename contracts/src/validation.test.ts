import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { ValidationError } from 'class-validator';
import { CreateMachineDto, CreatePersonDto, EnterRoundDto, FirstCrewLeadDto, SignOffDto } from './index.js';

/** The fields at fault, dotted, each with its first sentence. */
function faults(errors: readonly ValidationError[], path = ''): [string, string][] {
  return errors.flatMap((error) => {
    const field = path + error.property;
    const own = Object.values(error.constraints ?? {}).map((message): [string, string] => [field, message]);
    return [...own.slice(0, 1), ...faults(error.children ?? [], `${field}.`)];
  });
}

function check(dto: new () => object, plain: object): [string, string][] {
  return faults(validateSync(plainToInstance(dto, plain), { whitelist: true, forbidNonWhitelisted: true }));
}

const SIGN_OFF = { doneOn: '2027-05-13', shown: 61.5, doneById: 'x', minutes: 35, draws: [], version: 1 };

describe('what crosses the wire', () => {
  it('is taken when it is right, blanks at its ends cut off', () => {
    expect(check(SignOffDto, SIGN_OFF)).toEqual([]);
    const person = plainToInstance(CreatePersonDto, {
      name: '  Dru Halloway ',
      role: 'operator',
      password: 'long enough',
    });
    expect(validateSync(person)).toEqual([]);
    expect(person.name).toBe('Dru Halloway');
  });

  it.each([
    [{ shown: NaN }, 'shown', /number, such as 412\.6/],
    [{ shown: -0.1 }, 'shown', /less than 0/],
    [{ shown: 100_000 }, 'shown', /99,999\.9/],
    [{ doneOn: '2027-02-29' }, 'doneOn', /date that exists/],
    [{ doneOn: '13.5.2027' }, 'doneOn', /date that exists/],
    [{ minutes: 1.5 }, 'minutes', /whole number/],
    [{ draws: [{ articleId: 'a', quantity: 0 }] }, 'draws.0.quantity', /more than 0/],
    [
      {
        draws: [
          { articleId: 'a', quantity: 1 },
          { articleId: 'a', quantity: 1 },
        ],
      },
      'draws',
      /counts once/,
    ],
    [{ extra: 1 }, 'extra', /should not exist/],
  ])('names the field and the way out in %j', (over, field, sentence) => {
    const [fault] = check(SignOffDto, { ...SIGN_OFF, ...over });
    expect(fault?.[0]).toBe(field);
    expect(fault?.[1]).toMatch(sentence);
  });

  it('names each reading of a round that is wrong', () => {
    const readings = [{ machineId: 'a', shown: 1 }, { machineId: 'b', shown: 'x' }, { shown: 2 }];
    expect(check(EnterRoundDto, { readings }).map(([field]) => field)).toEqual([
      'readings.1.shown',
      'readings.2.machineId',
    ]);
    expect(check(EnterRoundDto, { readings: [] })).toEqual([['readings', 'Type at least one reading.']]);
  });

  it('has a plain sentence for every rule, none in the words of the library', () => {
    for (const dto of [CreateMachineDto, CreatePersonDto, EnterRoundDto, FirstCrewLeadDto, SignOffDto]) {
      const sentences = validateSync(new dto()).flatMap((error) => Object.values(error.constraints ?? {}));
      expect(sentences.length).toBeGreaterThan(0);
      for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/);
    }
  });
});

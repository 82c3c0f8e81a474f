import type { RoundMeterDto } from '@yugator/contracts';
import { readPasted } from './readPasted.js';

const machine = (tag: string) =>
  ({ key: tag.toLowerCase(), meter: 'engine', tag, name: tag }) as RoundMeterDto;
const FLEET = [machine('M-07'), machine('T-02'), machine('U-05')];

describe('readings that are pasted', () => {
  it.each([
    ['a table', 'M-07\t412.6\nT-02\t1361.2'],
    ['a CSV file with a head', 'tag,hours\nM-07,412.6\nT-02,1361.2'],
    ['semicolons, decimal commas and blank lines', 'm-07; 412,6\n\nT-02; 1361,2'],
  ])('are read from %s', (_what, text) => {
    const lines = readPasted(text, FLEET);
    expect(lines.map((line) => ('key' in line ? line.key : line.fault))).toEqual(['m-07', 't-02']);
  });

  it('are taken in walking order where only hours stand', () => {
    expect(readPasted('412.6\n1361.2', FLEET)).toMatchObject([
      { number: 1, key: 'm-07', typed: '412.6' },
      { number: 2, key: 't-02', typed: '1361.2' },
    ]);
  });

  it('have every fault named with its line, and the good ones beside it', () => {
    const lines = readPasted('M-07;412.6\nX-99;10\nT-02;many\nM-07;413', FLEET);
    expect(lines).toMatchObject([
      { number: 1, key: 'm-07' },
      { number: 2, fault: 'No meter of the fleet goes by "X-99".' },
      { number: 3, fault: '"many" is no figure of hours.' },
      { number: 4, fault: 'This meter was read in a line above.' },
    ]);
    expect(readPasted('1\n2\n3\n4', FLEET)[3]).toMatchObject({
      fault: 'There are more lines than meters in the walk.',
    });
    expect(readPasted('', FLEET)).toEqual([]);
  });

  it("are given to an attachment's own meter by tag and kind", () => {
    const loader = { ...machine('T-02'), key: 't-02-loader', meter: 'loader' } as RoundMeterDto;
    expect(readPasted('T-02;1361.2\nt-02 Loader;88', [...FLEET, loader])).toMatchObject([
      { key: 't-02', typed: '1361.2' },
      { key: 't-02-loader', typed: '88' },
    ]);
  });
});

import type { RoundMachineDto } from '@yugator/contracts';
import { readPasted } from './readPasted.js';

const machine = (tag: string) => ({ id: tag.toLowerCase(), tag, name: tag }) as RoundMachineDto;
const FLEET = [machine('M-07'), machine('T-02'), machine('U-05')];

describe('readings that are pasted', () => {
  it.each([
    ['a table', 'M-07\t412.6\nT-02\t1361.2'],
    ['a CSV file with a head', 'tag,hours\nM-07,412.6\nT-02,1361.2'],
    ['semicolons, decimal commas and blank lines', 'm-07; 412,6\n\nT-02; 1361,2'],
  ])('are read from %s', (_what, text) => {
    const lines = readPasted(text, FLEET);
    expect(lines.map((line) => ('machineId' in line ? line.machineId : line.fault))).toEqual([
      'm-07',
      't-02',
    ]);
  });

  it('are taken in walking order where only hours stand', () => {
    expect(readPasted('412.6\n1361.2', FLEET)).toMatchObject([
      { number: 1, machineId: 'm-07', typed: '412.6' },
      { number: 2, machineId: 't-02', typed: '1361.2' },
    ]);
  });

  it('have every fault named with its line, and the good ones beside it', () => {
    const lines = readPasted('M-07;412.6\nX-99;10\nT-02;many\nM-07;413', FLEET);
    expect(lines).toMatchObject([
      { number: 1, machineId: 'm-07' },
      { number: 2, fault: 'No machine of the fleet has the tag "X-99".' },
      { number: 3, fault: '"many" is no figure of hours.' },
      { number: 4, fault: 'This machine was read in a line above.' },
    ]);
    expect(readPasted('1\n2\n3\n4', FLEET)[3]).toMatchObject({
      fault: 'There are more lines than machines in the walk.',
    });
    expect(readPasted('', FLEET)).toEqual([]);
  });
});

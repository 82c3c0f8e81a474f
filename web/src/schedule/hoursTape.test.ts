import { dueLine, hoursLimit } from '../testing/fixtures.js';
import { TAPE_FROM, tapeMarks } from './hoursTape.js';

describe("the marks on a machine's tape of engine hours", () => {
  it('stand where the engine will be, also for what counts on the hours of a loader', () => {
    const on = (meter: 'engine' | 'loader') => hoursLimit({ left: 4, meter, expectedOn: '2027-05-23' });
    const at = (limit: ReturnType<typeof on>) =>
      tapeMarks([dueLine({ limits: [limit] })], 14, '2027-05-13').map((mark) => mark.at);
    expect(at(on('engine'))).toEqual([4]);
    // 4 loader hours are expected in 10 days: at 14 h a week that is 20 h of the engine.
    expect(at(on('loader'))).toEqual([20]);
  });

  it('stand at the left end for what is over, and nowhere for what nobody can tell', () => {
    const of = (over: Parameters<typeof hoursLimit>[0], perWeek: number | null = 14) =>
      tapeMarks([dueLine({ limits: [hoursLimit(over)] })], perWeek, '2027-05-13').map((mark) => mark.at);
    expect(of({ left: -3, meter: 'loader', expectedOn: null })).toEqual([TAPE_FROM + 2]);
    expect(of({ left: 4, meter: 'loader', expectedOn: null })).toEqual([]);
    expect(of({ left: 4, meter: 'loader', expectedOn: '2027-05-23' }, null)).toEqual([]);
  });
});

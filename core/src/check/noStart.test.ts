import { leastUnderLoad, passesLoad } from './loadTest.js';
import { answersAsked, searchNoStart } from './noStart.js';

describe('a battery under load', () => {
  // The table as test instruments print it (from memory), °F: 70, 60, 50, 40, 30, 20, 10, 0.
  it.each([
    [70, 9.6],
    [60, 9.5],
    [50, 9.4],
    [40, 9.3],
    [30, 9.1],
    [20, 8.9],
    [10, 8.7],
    [0, 8.5],
  ])('of %d °F stands at %d V at least', (fahrenheit, volts) => {
    expect(leastUnderLoad((fahrenheit - 32) / 1.8)).toBeCloseTo(volts, 1);
  });

  it('of a temperature between two lines stands between their figures, beyond the table at its ends', () => {
    expect(leastUnderLoad((35 - 32) / 1.8)).toBeCloseTo(9.2, 2);
    expect([leastUnderLoad(40), leastUnderLoad(-40)]).toEqual([9.6, 8.5]);
  });

  it('passes at the figure and fails a hundredth below', () => {
    expect([passesLoad(9.6, 30), passesLoad(9.59, 30), passesLoad(9, -6.7)]).toEqual([true, false, true]);
  });
});

describe('a machine that does not start', () => {
  const nothing = { turns: 'nothing' } as const;
  const sound = { ...nothing, rest: 12.6, load: 10.2, celsius: 21 } as const;

  it('is asked what it does first, and nothing besides', () => {
    expect(searchNoStart({})).toEqual({ asked: ['turns'], verdict: null });
  });

  it('but turns over has its fault elsewhere', () => {
    expect(searchNoStart({ turns: 'cranks' })).toEqual({ asked: ['turns'], verdict: 'fuelOrSpark' });
  });

  it('has its battery charged before it is judged, and a new one where it holds no charge', () => {
    expect(searchNoStart({ ...nothing, rest: 12.39 })).toEqual({
      asked: ['turns', 'rest', 'charged'],
      verdict: null,
    });
    expect(searchNoStart({ ...nothing, rest: 11.2, charged: 12.1 }).verdict).toBe('newBattery');
    expect(searchNoStart({ ...nothing, rest: 12.4 }).asked).toEqual(['turns', 'rest', 'load']);
  });

  it('that does nothing at all is not loaded where there is no tester: it cannot crank', () => {
    const without = { ...nothing, rest: 12.6, tester: 'none' } as const;
    expect(searchNoStart(without).asked).toEqual(['turns', 'rest', 'load', 'terminals']);
    expect(searchNoStart({ ...without, turns: 'slow' }).asked).toEqual(['turns', 'rest', 'load']);
  });

  it('keeps of its answers those to what was asked', () => {
    const answers = {
      turns: 'slow',
      rest: 12.6,
      charged: 12.7,
      load: 10,
      celsius: 21,
      fuse: 'blown',
    } as const;
    expect(answersAsked({ ...answers, terminals: 'good' })).toEqual({
      turns: 'slow',
      rest: 12.6,
      load: 10,
      celsius: 21,
      terminals: 'good',
    });
    expect(answersAsked({ turns: 'cranks', rest: 12 })).toEqual({ turns: 'cranks' });
    // 70 °F is 21.111… °C.
    expect(answersAsked({ ...answers, celsius: (70 - 32) / 1.8 }).celsius).toBe(21.11);
  });

  it('has a new battery where it breaks down under load, judged by its temperature', () => {
    const loaded = (load: number, celsius: number) =>
      searchNoStart({ ...nothing, rest: 11.9, charged: 12.6, load, celsius }).verdict;
    expect(loaded(9.2, 21)).toBe('newBattery');
    // The same figure is good in the cold.
    expect(loaded(9.2, -5)).toBeNull();
    expect(searchNoStart({ ...sound, celsius: undefined as never }).verdict).toBeNull();
  });

  it('is then searched from the cheap to the dear, and ends with the technician', () => {
    expect(searchNoStart({ ...sound, terminals: 'bad' }).verdict).toBe('cleanTerminals');
    expect(searchNoStart({ ...sound, terminals: 'good', fuse: 'blown' }).verdict).toBe('newFuse');
    const whole = { ...sound, terminals: 'good', fuse: 'whole' } as const;
    expect(searchNoStart({ ...whole, switches: 'starts' }).verdict).toBe('safetySwitch');
    expect(searchNoStart({ ...whole, switches: 'same' })).toEqual({
      asked: ['turns', 'rest', 'load', 'terminals', 'fuse', 'switches'],
      verdict: 'technician',
    });
  });

  it('that turns slowly has its fuse and its switches behind it', () => {
    expect(searchNoStart({ ...sound, turns: 'slow', terminals: 'good' })).toEqual({
      asked: ['turns', 'rest', 'load', 'terminals'],
      verdict: 'technician',
    });
  });
});

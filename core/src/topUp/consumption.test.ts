import fc from 'fast-check';
import { consumption } from './consumption.js';
import type { TopUp } from './consumption.js';

const up = (life: number, litres: number): TopUp => ({ life, litres });

describe('consumption', () => {
  it('counts what was filled up against the hours since the top-up or change before', () => {
    // Changed at 100 h; 0.1 L at 125 h, 0.1 L at 150 h: 0.2 L in 50 h is 0.4 L per 100 h.
    const { spans, latest, usual, thirst } = consumption([up(125, 0.1), up(150, 0.1)], [100], 150, null);
    expect(spans).toEqual([
      { life: 125, hours: 25, litres: 0.1 },
      { life: 150, hours: 25, litres: 0.1 },
    ]);
    expect(latest).toBeCloseTo(0.4, 9);
    expect([usual, thirst]).toEqual([null, null]);
  });

  it('says nothing of one top-up: it may be a spill', () => {
    expect(consumption([up(125, 0.5)], [100], 130, 0.1)).toMatchObject({ latest: null, thirst: null });
    expect(consumption([], [], 130, 0.1)).toEqual({ spans: [], latest: null, usual: null, thirst: null });
  });

  it('of the very first top-up with no change on record only begins to count', () => {
    expect(consumption([up(125, 0.5)], [], 130, null).spans).toEqual([]);
  });

  it('takes hours that took nothing before a change into the usual', () => {
    // 100 to 200 h with 0.2 L, changed at 200 h, then 0.3 L in each 10 h: 3 L per 100 h against 0.2.
    const topUps = [up(150, 0.1), up(180, 0.1), up(210, 0.3), up(220, 0.3)];
    const { latest, usual, thirst } = consumption(topUps, [100, 200], 225, null);
    expect(latest).toBeCloseTo(3, 9);
    expect(usual).toBeCloseTo(0.2, 9);
    expect(thirst).toBe('moreThanUsual');
  });

  it('warns at three times the usual, not below it, and never of what nobody minds', () => {
    const drinks = (litres: number) =>
      consumption([up(120, 0.1), up(140, 0.1), up(160, litres), up(180, litres)], [100], 180, null).thirst;
    // Usual 0.5 L per 100 h, so 0.3 L in 20 h is three times it.
    expect(drinks(0.301)).toBe('moreThanUsual');
    expect(drinks(0.299)).toBeNull();
    // An engine that took nothing before may take a tenth of a litre in 100 h three times over.
    expect(consumption([up(225, 0.02), up(250, 0.02)], [100, 200], 250, null).thirst).toBeNull();
    expect(consumption([up(225, 0.1), up(250, 0.1)], [100, 200], 250, null).thirst).toBe('moreThanUsual');
  });

  it('warns above what the card allows, however short it was watched', () => {
    expect(consumption([up(110, 0.1), up(120, 0.1)], [100], 120, 0.9).thirst).toBe('moreThanCard');
    expect(consumption([up(110, 0.1), up(120, 0.1)], [100], 120, 1.1).thirst).toBeNull();
  });

  it('takes two top-ups at one figure as one, and one right after a change as part of the refill', () => {
    expect(consumption([up(125, 0.1), up(125, 0.2)], [100], 125, null).spans).toMatchObject([
      { hours: 25, litres: expect.closeTo(0.3, 9) },
    ]);
    expect(consumption([up(100, 0.2)], [50, 100], 100, null).spans).toEqual([
      { life: 100, hours: 50, litres: 0 },
    ]);
  });

  it('whatever the order it is told in, spans run forward, leave no hour out and lose no litre between them', () => {
    const life = fc.integer({ min: 1, max: 500 });
    const events = fc.array(fc.record({ life, litres: fc.integer({ min: 1, max: 9 }) }));
    fc.assert(
      fc.property(events, fc.array(life, { maxLength: 4 }), (topUps, changed) => {
        const told = consumption(topUps, changed, 500, null);
        expect(consumption(topUps.toReversed(), changed.toReversed(), 500, null)).toEqual(told);
        const begins = Math.min(...topUps.map((topUp) => topUp.life), ...changed);
        let at = begins;
        for (const span of told.spans) {
          expect(span.hours).toBe(span.life - at);
          at = span.life;
        }
        const litresOf = (list: readonly TopUp[]) => list.reduce((sum, { litres }) => sum + litres, 0);
        const between = topUps.filter((topUp) => topUp.life > begins && !changed.includes(topUp.life));
        const atChanges = told.spans.filter((span) => changed.includes(span.life));
        expect(litresOf(told.spans) - litresOf(atChanges)).toBe(litresOf(between));
      }),
    );
  });
});

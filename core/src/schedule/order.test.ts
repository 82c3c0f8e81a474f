import type { Component } from '../component/components.js';
import { compareConsequences } from '../component/consequence.js';
import { consequenceOf } from './consequence.js';
import type { Consequence } from '../component/consequence.js';
import { compareMachines, compareUrgency } from './order.js';
import type { Urgency } from './order.js';
import { done, everyHours, every, item, scheduleOn } from './testing/facts.js';

const urgency = (over: Partial<Urgency>): Urgency => ({
  state: 'overdue',
  consequence: 'wear',
  used: 1.2,
  expectedOn: '2026-05-01',
  ...over,
});
const isBefore = (a: Partial<Urgency>, b: Partial<Urgency>) =>
  expect(Math.sign(compareUrgency(urgency(a), urgency(b)))).toBe(-1);

describe('worst first', () => {
  it('puts what ruins before what wears, and that before care, however far past', () => {
    isBefore({ consequence: 'ruin', used: 1.01 }, { consequence: 'wear', used: 3 });
    isBefore({ consequence: 'wear', used: 1.01 }, { consequence: 'care', used: 3 });
  });

  it('puts what is overdue before what nobody knows, and that before what is ripe, whatever it costs', () => {
    isBefore({ consequence: 'care' }, { state: 'noRecord', consequence: 'ruin' });
    isBefore({ state: 'noRecord', consequence: 'care' }, { state: 'ripe', consequence: 'ruin' });
    isBefore({ state: 'ripe', consequence: 'care' }, { state: 'coming', consequence: 'ruin' });
  });

  it('goes within a class by the share of the interval that is used', () => {
    isBefore({ used: 1.3, expectedOn: '2026-05-02' }, { used: 1.2, expectedOn: '2026-05-01' });
  });

  it('goes by date for what is still to come', () => {
    isBefore({ state: 'coming', consequence: 'care' }, { state: 'coming', expectedOn: '2026-05-02' });
    isBefore({ state: 'fine' }, { state: 'fine', expectedOn: null });
  });

  it('puts a machine that a defect stops before all others, and equals by their tags', () => {
    const { answers } = scheduleOn('2026-05-12', {
      items: [item('oil', [everyHours(50)], { components: ['engineOil'] })],
      readings: [['2026-05-10', 90]],
      history: { oil: done(['2025-05-01', 10]) },
    });
    const machine = (tag: string, isStopped: boolean, all = answers) => ({ tag, isStopped, answers: all });
    const machines = [
      machine('B', false),
      machine('C', true, []),
      machine('A', false),
      machine('D', false, []),
    ];
    expect(machines.sort(compareMachines).map(({ tag }) => tag)).toEqual(['C', 'A', 'B', 'D']);
  });

  it('orders the items of a machine so', () => {
    const overdue = (id: string, component: Component) =>
      item(id, [every(1, 'month')], { components: [component] });
    const { answers } = scheduleOn('2026-05-12', {
      items: [overdue('a', 'deck'), overdue('b', 'blades'), overdue('c', 'engineOil')],
      history: Object.fromEntries(['a', 'b', 'c'].map((id) => [id, done(['2026-01-01', 1])])),
    });
    expect(answers.map((answer) => answer.item.id)).toEqual(['c', 'b', 'a']);
  });
});

describe('consequence', () => {
  it.each<[readonly Component[], Parameters<typeof consequenceOf>[0]['action'], Consequence]>([
    [['engineOil'], 'replace', 'ruin'],
    [['hydraulicFilters'], 'replace', 'ruin'],
    [['coolant'], 'inspect', 'ruin'],
    [['wheelNuts', 'tyres'], 'inspect', 'ruin'],
    [['tyres', 'wheelNuts'], 'inspect', 'ruin'],
    [['airFilter'], 'clean', 'wear'],
    [['blades'], 'sharpen', 'wear'],
    [['valves'], 'adjust', 'wear'],
    [['deck'], 'clean', 'care'],
    [['axles', 'steering'], 'grease', 'care'],
    [['rearTyres'], 'inspect', 'care'],
    [[], 'replace', 'care'],
  ])('of %j: %s is %s (common practice)', (components, action, consequence) => {
    expect(consequenceOf({ components, action, consequence: null })).toBe(consequence);
  });

  it('is what the crew lead says, where that is said', () => {
    expect(consequenceOf({ components: ['deck'], action: 'clean', consequence: 'ruin' })).toBe('ruin');
    expect(compareConsequences('ruin', 'care')).toBeLessThan(0);
  });
});

import { parseTemperature, shownTemperature } from './temperature.js';

describe('a temperature', () => {
  // NIST SP 811, appendix B.8: t/°C = (t/°F − 32) / 1.8.
  it.each([
    ['21', 'C', 21],
    ['-18 °C', 'F', -18],
    ['−18', 'C', -18],
    ['70', 'F', 21.111],
    ['70 F', 'C', 21.111],
    ['0°f', 'C', -17.778],
    ['-40', 'F', -40],
    ['7,5', 'C', 7.5],
  ] as const)('typed as %s, in %s if nothing is said, is %d °C', (typed, fallback, celsius) => {
    expect(parseTemperature(typed, fallback)).toBeCloseTo(celsius, 3);
  });

  it.each(['', 'cold', '12 K', '1e3', '--3', '70 psi'])('typed as %p is none', (typed) => {
    expect(parseTemperature(typed, 'C')).toBeNull();
  });

  it('is shown in the degrees of the person', () => {
    expect(shownTemperature(21.1, 'metric')).toBe('21\u00a0°C');
    expect(shownTemperature(21.1, 'us')).toBe('70\u00a0°F');
    expect(shownTemperature(-18, 'us')).toBe('0\u00a0°F');
  });
});

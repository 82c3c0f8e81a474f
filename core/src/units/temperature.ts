import type { UnitSystem } from './units.js';

const TYPED = /^([-−]?\d+(?:[.,]\d+)?)\s*(?:°?\s*([CF]))?$/i;

/** Degrees Fahrenheit in Celsius (NIST SP 811, appendix B.8: (t − 32) / 1.8). */
function celsiusOf(fahrenheit: number): number {
  return (fahrenheit - 32) / 1.8;
}

/** The letter of the degrees that a system reads. */
export function degreesOf(system: UnitSystem): 'C' | 'F' {
  return system === 'us' ? 'F' : 'C';
}

/** A temperature typed with or without its unit ("-18", "70 °F", "21C"), in °C; `fallback` counts without one. Null where it is none. */
export function parseTemperature(text: string, fallback: 'C' | 'F'): number | null {
  const [, figure, unit] = TYPED.exec(text.trim()) ?? [];
  if (figure === undefined) return null;
  const degrees = Number(figure.replace('−', '-').replace(',', '.'));
  return (unit?.toUpperCase() ?? fallback) === 'F' ? celsiusOf(degrees) : degrees;
}

/** A temperature in °C as a bare figure of other degrees, with at most `decimals`. */
export function inDegrees(celsius: number, unit: 'C' | 'F', decimals: number): string {
  return String(Number((unit === 'F' ? celsius * 1.8 + 32 : celsius).toFixed(decimals)));
}

/** A temperature in °C as a system reads it: "21 °C", "70 °F". */
export function shownTemperature(celsius: number, system: UnitSystem): string {
  const unit = degreesOf(system);
  return `${inDegrees(celsius, unit, 0)}\u00a0°${unit}`;
}

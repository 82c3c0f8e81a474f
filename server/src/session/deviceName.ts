const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Firefox\//, 'Firefox'],
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/(Chrome|CriOS|Chromium)\//, 'Chromium browser'],
  [/Safari\//, 'Safari'],
];
const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux/, 'Linux'],
];

function first(pairs: readonly (readonly [RegExp, string])[], agent: string): string | undefined {
  return pairs.find(([pattern]) => pattern.test(agent))?.[1];
}

/** What a person would call the device that sends this User-Agent header. */
export function deviceName(agent: string | undefined): string {
  const browser = first(BROWSERS, agent ?? '');
  const system = first(SYSTEMS, agent ?? '');
  if (browser && system) return `${browser} on ${system}`;
  return browser ?? system ?? 'A program';
}

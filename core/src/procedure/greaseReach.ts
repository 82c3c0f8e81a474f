/** How a grease fitting is come at. */
export const GREASE_REACHES = [
  'cap',
  'guardHole',
  'guardOff',
  'turnWheel',
  'turnShaft',
  'hose',
  'rigid',
] as const;
export type GreaseReach = (typeof GREASE_REACHES)[number];

/** What a person does for it. */
export const REACH_WORDS: Record<GreaseReach, string> = {
  cap: 'Its cap off first, and on again after it.',
  guardHole: 'Through the hole in the guard.',
  guardOff: 'The guard off first, and on again after it.',
  turnWheel: 'Turn the wheel until it can be reached.',
  turnShaft: 'Turn the shaft or the axle until it can be reached.',
  hose: 'With a hose on the gun.',
  rigid: 'With a rigid coupler on the gun.',
};

/** What has to be fetched for it besides the gun. */
export const REACH_TOOLS: Record<GreaseReach, readonly string[]> = {
  cap: [],
  guardHole: ['narrow coupler'],
  guardOff: ['wrench for the guard'],
  turnWheel: [],
  turnShaft: [],
  hose: ['grease hose'],
  rigid: ['rigid coupler'],
};

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

/** What a person does for it, said after its name. */
export const REACH_WORDS: Record<GreaseReach, string> = {
  cap: 'its cap off first, and on again after it.',
  guardHole: 'through the hole in the guard.',
  guardOff: 'the guard off first, and on again after it.',
  turnWheel: 'turn the wheel until it can be reached.',
  turnShaft: 'turn the shaft or the axle until it can be reached.',
  hose: 'with a hose on the gun.',
  rigid: 'with a rigid coupler on the gun.',
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

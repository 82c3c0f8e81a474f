import type { FilterTrait, FitStanding, PlugTrait, SubstituteReason, TraitStand } from '@yugator/core';

export const STANDING_WORDS: Record<FitStanding, string> = {
  original: 'original',
  equal: 'equal',
  substitute: 'substitute',
};

export const TRAIT_WORDS: Record<FilterTrait | PlugTrait, string> = {
  height: 'Height',
  outside: 'Outside',
  gasket: 'Gasket',
  thread: 'Thread',
  bypass: 'Bypass opens at',
  reach: 'Reach',
  hexagon: 'Hexagon',
};

export const STAND_WORDS: Record<TraitStand, string> = {
  same: 'the same',
  larger: 'larger',
  smaller: 'smaller',
  other: 'another',
  unknown: 'not measured',
};

/** What comes of a comparison with the original. */
export const REASON_WORDS: Record<SubstituteReason, string> = {
  superseded: "Its maker put it in the original's place: it may be used.",
  sameNumber: 'It is sold under the same number: it is the same.',
  figures: 'Equal or larger throughout: it may be used.',
  figuresRefuse: 'Smaller, or of another thread or gasket: it may not be used.',
  figuresUnknown: 'Not all could be compared: look at both, and say below why it fits.',
  notCompared: 'Nothing was measured on both: look at both, and say below why it fits.',
  otherComponent: 'It is something else than the original.',
  houseRuleWarranty: "The house rule is the maker's own while under warranty, and this machine is.",
  houseRuleMaker: "The house rule is the maker's own.",
};

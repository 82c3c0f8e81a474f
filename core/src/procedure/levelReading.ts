import type { Component } from '../component/components.js';

/** How the level of a fluid is read on a machine. */
export const LEVEL_READINGS = [
  'screwedIn',
  'resting',
  'pushedHome',
  'sightGlass',
  'levelPlug',
  'reservoir',
] as const;
export type LevelReading = (typeof LEVEL_READINGS)[number];

export const READ_AT = ['cold', 'warm'] as const;
export type ReadAt = (typeof READ_AT)[number];

/** What a person does to read it. */
export const READING_WORDS: Record<LevelReading, string> = {
  screwedIn: 'Wipe the dipstick, screw it in, take it out and read.',
  resting: 'Wipe the dipstick, let it rest on its threads, not screwed in, and read.',
  pushedHome: 'Wipe the dipstick, push it home, take it out and read.',
  sightGlass: 'Read the sight glass.',
  levelPlug: 'Take the level plug out: it stands at the lower edge of the hole.',
  reservoir: 'Read the reservoir between its marks.',
};

/** The part of a card that says so. */
interface Card {
  readonly fluids: readonly {
    readonly component?: Component | null;
    readonly reading?: LevelReading | null;
    readonly readAt?: ReadAt | null;
  }[];
}

/** The way that the card names; `usual` where it names none. */
export function readingWords({ fluids }: Card, fluid: Component, usual: string): string {
  const reading = fluids.find(({ component }) => component === fluid)?.reading;
  return reading ? READING_WORDS[reading] : usual;
}

/** Whether the card wants the level read warm. */
export function isReadWarm({ fluids }: Card, fluid: Component): boolean {
  return fluids.find(({ component }) => component === fluid)?.readAt === 'warm';
}

/** What a guided look comes to. */
export type LookAnswer = 'keep' | 'cleanAndRefit' | 'replace' | 'stopAndRepair';

/** One thing that may be seen. */
export interface Sight {
  readonly key: string;
  readonly words: string;
  readonly answer: LookAnswer;
  readonly reason: string;
}

export interface Look {
  readonly question: string;
  readonly sights: readonly Sight[];
}

function sight(key: string, words: string, answer: LookAnswer, reason: string): Sight {
  return { key, words, answer, reason };
}

/** What is looked at and what it says (common practice). */
export const LOOKS = {
  airFilter: {
    question: 'Hold the element against the light. What do you see?',
    sights: [
      sight('clean', 'Light comes through evenly', 'keep', 'It breathes.'),
      sight(
        'dusty',
        'Light dust, light comes through',
        'cleanAndRefit',
        'The dust lies on top and comes off.',
      ),
      sight('dark', 'No light comes through', 'replace', 'The pores are full.'),
      sight('torn', 'Torn, chewed, or the foam crumbles', 'replace', 'Dust gets past it into the engine.'),
      sight(
        'oily',
        'Oily',
        'stopAndRepair',
        'Oil comes from the breather or an overfilled sump: find out why.',
      ),
      sight(
        'nest',
        'Gnawed, with nesting',
        'stopAndRepair',
        'Look for the nest under the cowl before it runs again.',
      ),
    ],
  },
  sparkPlug: {
    question: 'What does the tip look like?',
    sights: [
      sight('tan', 'Light tan, sharp edges', 'keep', 'It burns as it should.'),
      sight(
        'sooty',
        'Dry and sooty',
        'cleanAndRefit',
        'Rich mixture or a cold plug: look at the air filter too.',
      ),
      sight('worn', 'Rounded electrode', 'replace', 'It needs more voltage every hour.'),
      sight('white', 'White or blistered', 'stopAndRepair', 'Lean or too hot: the engine is in danger.'),
      sight('oily', 'Wet and oily', 'stopAndRepair', 'Oil gets into the cylinder.'),
      sight('cracked', 'Cracked insulator', 'replace', 'It sparks where it should not.'),
    ],
  },
  engineOil: {
    question: 'Wipe the dipstick, dip again. What is on it?',
    sights: [
      sight('brown', 'Brown, between the marks', 'keep', 'As it should be.'),
      sight('low', 'Below the low mark', 'cleanAndRefit', 'Top it up and write down how much.'),
      sight('milky', 'Milky', 'stopAndRepair', 'Water in the oil: do not start it.'),
      sight('metallic', 'Glittering', 'stopAndRepair', 'Metal in the oil: do not start it.'),
      sight('fuel', 'Thin, smelling of fuel', 'stopAndRepair', 'Fuel in the oil: do not start it.'),
    ],
  },
  hydraulicOil: {
    question: 'How does the oil stand and look?',
    sights: [
      sight('clear', 'Clear, at its mark', 'keep', 'As it should be.'),
      sight('low', 'Below the mark', 'cleanAndRefit', 'Top it up and look where it went.'),
      sight('foamy', 'Foaming', 'stopAndRepair', 'It draws air: level, strainer or a suction hose.'),
      sight('milky', 'Milky', 'stopAndRepair', 'Water in it: change it before it works again.'),
      sight(
        'burnt',
        'Dark, smelling burnt',
        'replace',
        'It was too hot: change it and its filter, and find out why.',
      ),
    ],
  },
  gearOil: {
    question: 'How does the oil stand and look?',
    sights: [
      sight('atHole', 'Clean, at the hole', 'keep', 'As it should be.'),
      sight('low', 'Below the hole', 'cleanAndRefit', 'Fill until it runs out, and look for the leak.'),
      sight('milky', 'Milky', 'replace', 'Water in it: change it, and look at breather and seals.'),
      sight('metallic', 'Glittering', 'stopAndRepair', 'Gears or bearings are going.'),
    ],
  },
  coolant: {
    question: 'How does the coolant stand and look?',
    sights: [
      sight('clear', 'Clear, between the marks', 'keep', 'As it should be.'),
      sight('low', 'Below the low mark', 'cleanAndRefit', 'Top it up cold and look where it went.'),
      sight('rusty', 'Rusty or cloudy', 'replace', 'It protects no more: change it.'),
      sight('oily', 'Oil on it', 'stopAndRepair', 'Oil and water have found each other: do not start it.'),
    ],
  },
  brakeFluid: {
    question: 'How does the brake fluid stand and look?',
    sights: [
      sight('clear', 'Clear, between the marks', 'keep', 'As it should be.'),
      sight(
        'low',
        'Below the low mark',
        'stopAndRepair',
        'Pads are worn or it leaks: find out before it is driven.',
      ),
      sight('dark', 'Dark or cloudy', 'replace', 'It has drawn water: it boils when brakes are hot.'),
    ],
  },
  blade: {
    question: 'Look at the blade, edge and tips.',
    sights: [
      sight('sharp', 'Straight, edge sharp, sail tips whole', 'keep', 'It cuts.'),
      sight('dull', 'Edge dull or nicked', 'cleanAndRefit', 'Sharpen and balance it.'),
      sight('worn', 'Sail tips thin or worn through', 'replace', 'A worn tip breaks off.'),
      sight('bent', 'Bent', 'replace', 'It shakes the spindle to pieces.'),
      sight(
        'cracked',
        'Cracked',
        'stopAndRepair',
        'It flies off in pieces. New blade, and look at the spindle.',
      ),
    ],
  },
  spindle: {
    question: 'Rock the spindle and spin it by hand.',
    sights: [
      sight('tight', 'No play, turns without a sound', 'keep', 'Its bearings are good.'),
      sight('play', 'Any play, or it rumbles', 'stopAndRepair', 'The bearings are done.'),
      sight(
        'cracked',
        'Cracked ears, or a crack in the deck shell',
        'stopAndRepair',
        'It can come loose while mowing.',
      ),
    ],
  },
  belt: {
    question: 'Turn the belt and look at both sides.',
    sights: [
      sight('good', 'Whole, edges clean', 'keep', 'It grips.'),
      sight('glazed', 'Shiny and hard', 'replace', 'It slips and burns.'),
      sight('cracked', 'Cracked or frayed', 'replace', 'It will break.'),
    ],
  },
  tyre: {
    question: 'Look at tread and sidewalls.',
    sights: [
      sight('good', 'Tread and sidewalls whole', 'keep', 'Only the pressure counts.'),
      sight('cut', 'Cut or cracked to the cords', 'stopAndRepair', 'It can burst.'),
      sight('worn', 'Tread worn off', 'replace', 'It slides on wet grass and slopes.'),
    ],
  },
  hose: {
    question: 'Squeeze the hoses and look at their ends.',
    sights: [
      sight('good', 'Dry and supple', 'keep', 'They hold.'),
      sight('damp', 'Damp at a clamp', 'cleanAndRefit', 'Half a turn on the clamp, wipe dry, look again.'),
      sight('cracked', 'Hard, cracked or swollen', 'replace', 'It will burst.'),
      sight('chafed', 'Chafed to the fabric', 'stopAndRepair', 'Replace it and find what it rubs on.'),
    ],
  },
  fuelFilter: {
    question: 'Look into the filter or the bowl.',
    sights: [
      sight('clear', 'Clear', 'keep', 'Nothing is caught in it.'),
      sight('dirt', 'Dirt at the bottom', 'cleanAndRefit', 'Clean the bowl; an in-line filter is replaced.'),
      sight('dark', 'Dark all through', 'replace', 'It starves the engine at full load.'),
      sight('water', 'Water', 'stopAndRepair', 'Drain the tank before it runs again.'),
    ],
  },
} as const satisfies Record<string, Look>;

export type LookKey = keyof typeof LOOKS;

/** What was seen, by its key; undefined for none of this look. */
export function sightOf(look: LookKey, key: string): Sight | undefined {
  const { sights }: Look = LOOKS[look];
  return sights.find((each) => each.key === key);
}

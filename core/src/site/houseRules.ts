import { isRecord } from '../names/record.js';

/** One way to do it, and why people hold it. Its words may hold a figure of the crew by its key: `{snugDegrees}`. */
export interface RuleOption<K extends string = string> {
  readonly key: K;
  readonly words: string;
  readonly why: string;
}

/** A choice on which good mechanics differ. */
export interface HouseRule {
  readonly key: string;
  readonly question: string;
  /** what it changes in the sheets */
  readonly changes: string;
  /** the first is the default */
  readonly options: readonly [RuleOption, ...RuleOption[]];
}

function option<K extends string>(key: K, words: string, why: string): RuleOption<K> {
  return { key, words, why };
}

export const HOUSE_RULES = [
  {
    key: 'filterTightness',
    question: 'How tight is a spin-on filter?',
    changes: 'The step that screws the oil filter on.',
    options: [
      option('turn', '¾ to 1 turn after contact, by hand', 'The gasket is squeezed the same every time.'),
      option('hand', 'Hand-tight', 'It comes off again without a wrench.'),
      option('maker', "The maker's figure", 'Where the filter or the book prints one, it was tested.'),
      option(
        'snug',
        'By hand, then {snugDegrees}° more with the wrench',
        'It cannot shake loose, and comes off with the same wrench.',
      ),
    ],
  },
  {
    key: 'prefill',
    question: 'Is the new filter filled before it goes on?',
    changes: 'The filter step, the first pour and the top-up.',
    options: [
      option('asItHangs', 'Full if it hangs upright, half if it lies', 'The engine has oil sooner.'),
      option(
        'quarterAndRoll',
        'A quarter, and rolled until the pleats have drunk it',
        'Nothing runs out while it is screwed on, however it hangs.',
      ),
      option(
        'full',
        'Full, also where it lies on its side',
        'Turned up at the last moment it spills a spoonful, and the engine has oil at once.',
      ),
      option('never', 'Never', 'Nothing unfiltered gets into the clean side, and nothing drips.'),
    ],
  },
  {
    key: 'drain',
    question: 'How does the oil come out?',
    changes: 'The drain steps, their tools and how often the container is emptied.',
    options: [
      option('plug', 'Plug or valve, warm', 'The dirt at the bottom comes along.'),
      option(
        'extractorThenPlug',
        'Extractor, then the plug',
        'Less runs over the machine; the rest still comes.',
      ),
      option('extractor', 'Extractor only', 'Quick and clean, where the plug cannot be reached.'),
    ],
  },
  {
    key: 'otherDrain',
    question: 'How do the oils of gearboxes and axles come out?',
    changes: 'The drain steps of every oil but the engine’s, and their tools.',
    options: [
      option('drain', 'By their drain', 'What the gears have worn off lies at the bottom.'),
      option(
        'extractor',
        'With the extractor, through the fill opening',
        'No plug is worn out, and nothing runs over the axle.',
      ),
    ],
  },
  {
    key: 'fillTarget',
    question: 'How full is full?',
    changes: 'The fill plan: one pour or two.',
    options: [
      option('fullMark', 'To the full mark, in two stages', 'The filter swallows oil after the first run.'),
      option(
        'shadeUnder',
        'A shade under the full mark: {shadeShare} % of the way from low to full',
        'Oil expands, and too much does more harm.',
      ),
      option(
        'withoutFilterFirst',
        "First the book's figure without filter, then up to the mark",
        'What the filter takes is read, not reckoned.',
      ),
    ],
  },
  {
    key: 'plugs',
    question: 'When are spark plugs replaced?',
    changes: 'What the sheet says of plugs that look good.',
    options: [
      option('yearly', 'Every year', 'They cost less than a day of a mower that will not start.'),
      option('hours', 'By hours', 'Wear follows hours.'),
      option('condition', 'By condition and gap', 'A good plug with its gap set goes on.'),
    ],
  },
  {
    key: 'airFilter',
    question: 'When is an air filter replaced?',
    changes: 'What the sheet says of a filter that passes the look.',
    options: [
      option('condition', 'By condition', 'Dust decides, not the calendar.'),
      option('cleanAndYearly', 'Clean by hours, replace yearly', 'Each cleaning widens the pores a little.'),
    ],
  },
  {
    key: 'cleanPaper',
    question: 'How is paper cleaned?',
    changes: 'The step that cleans an air element.',
    options: [
      option('tap', 'Tapped out, and replaced when that is not enough', 'Nothing tears the paper.'),
      option('air', 'Air from inside, below 30 psi', 'It takes out what tapping leaves.'),
      option('brush', 'A soft brush', 'No pressure, no dust in the air.'),
    ],
  },
  {
    key: 'greasing',
    question: 'How much grease?',
    changes: 'The grease steps.',
    options: [
      option('purge', 'Until clean grease shows', 'The dirt goes out with the old grease.'),
      option('strokes', 'A set number of strokes', 'Too much blows seals and flings on belts.'),
    ],
  },
  {
    key: 'annual',
    question: 'When is the yearly service?',
    changes: 'Which yearly items are proposed for a visit around the lay-up.',
    options: [
      option('autumn', 'Autumn, before lay-up', 'No acid of old oil stays in over winter.'),
      option('spring', 'Spring, before the season', 'It starts the season fresh.'),
      option('split', 'Oil and fuel in autumn, blades and deck in spring', 'Each when it matters.'),
    ],
  },
  {
    key: 'parts',
    question: 'Whose parts?',
    changes: 'What the list of things to fetch asks for.',
    options: [
      option(
        'makerInWarranty',
        "The maker's under warranty, then by price",
        'No argument while it is covered.',
      ),
      option('maker', "Always the maker's", 'It fits, and nobody asks.'),
      option('specification', 'By specification', 'What meets the figures does the work.'),
    ],
  },
  {
    key: 'supersession',
    question: 'What of a smaller filter that its maker put in place of the old number?',
    changes: 'The step that screws the oil filter on. A smaller substitute stays refused.',
    options: [
      option(
        'accepted',
        'It is accepted, and both numbers are written down',
        'Who made the engine has tested it.',
      ),
      option('refused', 'None smaller goes on', 'Less paper is less paper, whoever sells it.'),
    ],
  },
  {
    key: 'recheck',
    question: 'A check came out clean: what of the next one?',
    changes: 'Whether the next one may be left out, once; the book stays as it is.',
    options: [
      option('everyTime', 'It is made like every other', 'What was good once need not stay so.'),
      option(
        'mayLeaveOut',
        'The mechanic may leave it out, once',
        'Twice the interval tells as much where nothing was found. Never where it can wreck the machine, nor under warranty.',
      ),
    ],
  },
  {
    key: 'torque',
    question: 'Which fasteners get the torque wrench?',
    changes: 'Whether steps without a figure in the book ask for the wrench.',
    options: [
      option('listed', 'Those with a figure in the book', 'Where it matters, the book says so.'),
      option('all', 'All of them', 'Nobody guesses, and nothing is forgotten.'),
    ],
  },
] as const satisfies readonly HouseRule[];

export type HouseRuleKey = (typeof HOUSE_RULES)[number]['key'];
type Rule<K extends HouseRuleKey> = Extract<(typeof HOUSE_RULES)[number], { key: K }>;

/** What the shop has chosen, by rule. */
export type HouseRules = { readonly [K in HouseRuleKey]: Rule<K>['options'][number]['key'] };

/** Whether a loose value says for every rule, and for nothing else, one of the ways that are offered. */
export function isHouseRules(value: unknown): value is HouseRules {
  return (
    isRecord(value) &&
    Object.keys(value).length === HOUSE_RULES.length &&
    HOUSE_RULES.every(({ key, options }) => options.some((each) => each.key === value[key]))
  );
}

/** The chosen rules with the default wherever nothing, or nothing that is offered, was chosen. */
export function withDefaults(chosen: Readonly<Record<string, unknown>> | null): HouseRules {
  const rules: unknown = Object.fromEntries(
    HOUSE_RULES.map(({ key, options }) => [
      key,
      options.find((each) => each.key === chosen?.[key])?.key ?? options[0].key,
    ]),
  );
  if (!isHouseRules(rules)) throw new Error('Two house rules have the same key.');
  return rules;
}

/** The first option of every rule. */
export const DEFAULT_RULES = withDefaults(null);

/** Practices that are not offered, and why. */
export const REFUSED_PRACTICES = [
  {
    practice: 'Backing a tightened filter off a little',
    why: 'The gasket has set; loosened again it weeps, and at full pressure it blows out.',
  },
  {
    practice: 'More pressure in a tyre than its sidewall says',
    why: 'The figure is the limit at which it was tested; beyond it the tyre can burst in your face.',
  },
  {
    practice: 'A substitute filter smaller than the original, from anybody but its maker',
    why: 'It clogs earlier and then lets the oil past unfiltered.',
  },
  {
    practice: 'Used engine oil on chains or as form oil',
    why: 'It carries metal and soot into the ground and onto skin. It is collected, and nothing else (40 CFR 279).',
  },
  {
    practice: 'Bridging a safety switch',
    why: 'It is what stops the blades when somebody falls off. A machine without it stays in the shed.',
  },
  {
    practice: 'Working under a raised bed or deck without its prop',
    why: 'A hose that gives way gives no warning. The lock or the stands carry it, never the hydraulics.',
  },
] as const;

import { emptySpecCard } from '@yugator/contracts';
import type { SpecCardDto } from '@yugator/contracts';
import { columnHead, SPEC_SECTIONS } from './specSections.js';
import { parseCard, typedCard } from './typedCard.js';
import type { TypedCard } from './typedCard.js';

const EMPTY = typedCard(emptySpecCard(), 'metric');
const parse = (typed: Partial<TypedCard>, system: 'metric' | 'us' = 'metric') =>
  parseCard({ ...EMPTY, ...typed }, system);

describe('the spec card', () => {
  it('takes figures in any unit of the trade and keeps them in SI', () => {
    const parsed = parse({
      fluids: [{ component: 'engineOil', fluid: '', litresWithFilter: '67 oz', litresWithoutFilter: '' }],
      grades: [
        { component: 'engineOil', grade: '10W-30', category: '', fromCelsius: '−18', toCelsius: '104 F' },
      ],
      torques: [{ component: 'sparkPlugs', fastener: 'Plugs', range: '15 lbf·ft' }],
      plugs: [{ type: '5/8 in', gap: '0.030 in' }],
      tyres: [{ axle: 'Rear', range: '10-12 psi', sidewallMaximum: '14 psi' }],
      decks: [{ name: '48 in', sidewaysWithin: '1/8 in', range: '3-6', tipsWithin: '' }],
      charging: [{ range: '13.8-14.5', idleLow: '13.2 V' }],
      fittings: [{ component: 'deckSpindles', name: 'Spindles', where: '', strokes: '3' }],
    });
    // 67 fl oz × 0.0295735295625 = 1.981426 L; 15 lbf·ft = 20.337269 N·m; 0.030 in = 0.762 mm; 10 psi = 68.947573 kPa.
    expect(parsed).toMatchObject({
      spec: {
        fluids: [
          {
            litresWithFilter: 1.981426,
            litresWithoutFilter: null,
            grades: [{ grade: '10W-30', category: '', fromCelsius: -18, toCelsius: 40 }],
          },
        ],
        torques: [{ low: 20.337269, high: 20.337269 }],
        plugs: [{ gap: 0.762 }],
        tyres: [{ axle: 'rear', low: 68.947573, high: 82.737088 }],
        decks: [{ sidewaysWithin: 3.175, low: 3, high: 6, tipsWithin: null }],
        charging: [{ low: 13.8, high: 14.5, idleLow: 13.2 }],
        fittings: [{ strokes: 3 }],
      },
    });
  });

  it('takes a house rule of its own with its reason, and no rule that nobody offers', () => {
    const ways = [{ way: 'drain.extractor', why: 'the plug sits above the axle' }];
    expect(parse({ ways })).toMatchObject({ spec: { ways } });
    expect(parse({ ways: [{ way: 'drain.siphon', why: '' }] })).toEqual({
      faults: { 'ways/0/way': 'Choose from the list.', 'ways/0/why': 'Why is missing.' },
    });
  });

  it('takes how a level is read to its fluid, once', () => {
    const fluids = [
      { component: 'engineOil', fluid: '', litresWithFilter: '3.7', litresWithoutFilter: '' },
      { component: 'coolant', fluid: '', litresWithFilter: '5', litresWithoutFilter: '' },
    ];
    const level = {
      component: 'engineOil',
      reading: 'resting',
      readAt: 'cold',
      marks: 'L to H',
      betweenMarks: '1 qt',
    };
    expect(parse({ fluids, levels: [level] })).toMatchObject({
      spec: {
        fluids: [
          {
            component: 'engineOil',
            reading: 'resting',
            readAt: 'cold',
            marks: 'L to H',
            betweenMarks: 0.946353,
          },
          { component: 'coolant', reading: null, readAt: null, marks: '', betweenMarks: null },
        ],
      },
    });
    expect(parse({ fluids, levels: [level, level] })).toEqual({
      faults: { 'levels/1/component': 'It stands above already.' },
    });
  });

  it('takes how a fluid comes out and is poured to its fluid; the engine’s drain is said elsewhere', () => {
    const fluids = [
      { component: 'engineOil', fluid: '', litresWithFilter: '4.3 qt', litresWithoutFilter: '' },
      { component: 'transaxleOil', fluid: '', litresWithFilter: '2', litresWithoutFilter: '' },
    ];
    const first = { component: 'engineOil', drain: '', firstPour: '4 qt', topUpPer100h: '' };
    const valve = { component: 'transaxleOil', drain: 'valve', firstPour: '', topUpPer100h: '' };
    const parsed = parse({ fluids, drains: [first, valve] });
    expect(parsed).toMatchObject({
      spec: {
        fluids: [
          { component: 'engineOil', drain: null, firstPour: 3.785412 },
          { component: 'transaxleOil', drain: 'valve', firstPour: null },
        ],
      },
    });
    if ('faults' in parsed) throw new Error('The card was refused.');
    expect(typedCard(parsed.spec, 'us').drains).toEqual([
      { component: 'engineOil', drain: '', firstPour: '4 qt', topUpPer100h: '' },
      { component: 'transaxleOil', drain: 'valve', firstPour: '', topUpPer100h: '' },
    ]);
    expect(parse({ fluids, drains: [{ ...first, drain: 'hose' }, valve, valve] })).toEqual({
      faults: {
        'drains/0/drain': 'How the engine is drained is chosen above the lists.',
        'drains/2/component': 'It stands above already.',
      },
    });
  });

  it('shows the same card in either system of units', () => {
    const spec: SpecCardDto = {
      ...emptySpecCard(),
      torques: [{ component: 'sparkPlugs', fastener: 'Plugs', low: 20.337269, high: 20.337269 }],
      tyres: [{ axle: 'rear', low: 68.947573, high: 82.737088, sidewallMaximum: 96.526602 }],
      fluids: [
        {
          component: 'engineOil',
          fluid: '',
          litresWithFilter: 2,
          litresWithoutFilter: null,
          grades: [{ grade: '10W-30', category: '', fromCelsius: -17.8, toCelsius: null }],
        },
      ],
    };
    expect(typedCard(spec, 'us').grades[0]).toMatchObject({ fromCelsius: '0', toCelsius: '' });
    expect(typedCard(spec, 'metric').grades[0]).toMatchObject({ fromCelsius: '-17.8' });
    expect(
      SPEC_SECTIONS.find(({ key }) => key === 'grades')?.columns.map((each) => columnHead(each, 'us')),
    ).toEqual([...['Fluid', 'Grade', 'Category', 'From °F', 'To °F']]);
    expect(typedCard(spec, 'us').torques[0]).toMatchObject({ range: '15 lbf·ft' });
    expect(typedCard(spec, 'metric').torques[0]).toMatchObject({ range: '20.3 N·m' });
    expect(typedCard(spec, 'us').tyres[0]).toEqual({
      axle: 'rear',
      range: '10–12 psi',
      sidewallMaximum: '14 psi',
    });
  });

  it('keeps what nobody changed to its last digit, in either system, also when a line above goes', () => {
    // 67 fl oz and 15 lbf·ft, shown as 1.98 L and 20.3 N·m.
    const fluid = {
      component: 'engineOil' as const,
      fluid: '',
      litresWithFilter: 1.981426,
      litresWithoutFilter: null,
      // 0 °F, kept to the tenth of a degree Celsius.
      grades: [{ grade: '5W-30', category: '', fromCelsius: -17.8, toCelsius: 37.7 }],
    };
    const before: SpecCardDto = {
      ...emptySpecCard(),
      fluids: [
        {
          ...fluid,
          drain: null,
          firstPour: 1.7,
          topUpPer100h: 0.2,
          betweenMarks: null,
          marks: '',
          reading: 'resting',
          readAt: null,
        },
      ],
      torques: [
        { component: 'bladeBolts' as const, fastener: 'Blades', low: 67.790897, high: 81.349077 },
        { component: 'sparkPlugs' as const, fastener: 'Plugs', low: 20.337269, high: 20.337269 },
      ],
    };
    for (const system of ['metric', 'us'] as const) {
      expect(parseCard(typedCard(before, system), system, before)).toEqual({ spec: before });
      const card = typedCard(before, system);
      const shorter = { ...card, torques: card.torques.slice(1) };
      expect(parseCard(shorter, system, before)).toMatchObject({ spec: { torques: [before.torques[1]] } });
      const other = {
        ...card,
        torques: [{ component: 'sparkPlugs', fastener: 'Plugs', range: '16 lbf·ft' }],
      };
      // 16 × 1.3558179483314 = 21.693087.
      expect(parseCard(other, system, before)).toMatchObject({ spec: { torques: [{ low: 21.693087 }] } });
    }
  });

  it('names every cell that cannot be read', () => {
    const parsed = parse({
      fluids: [{ component: '', litresWithFilter: '2 psi' }],
      levels: [{ component: 'coolant', reading: 'by eye', readAt: '', marks: '', betweenMarks: '' }],
      grades: [{ component: 'coolant', grade: 'X', category: '', fromCelsius: 'cold', toCelsius: '' }],
      tyres: [{ axle: 'left', range: 'hard', sidewallMaximum: '14 psi' }],
    });
    expect('faults' in parsed ? Object.keys(parsed.faults).sort() : []).toEqual([
      ...['fluids/0/component', 'fluids/0/litresWithFilter'],
      ...['grades/0/component', 'grades/0/fromCelsius', 'levels/0/component', 'levels/0/reading'],
      ...['tyres/0/axle', 'tyres/0/range'],
    ]);
  });

  it('has a title and columns for every part', () => {
    expect(SPEC_SECTIONS.map(({ key }) => key).sort()).toEqual(
      [...Object.keys(emptySpecCard()), 'drains', 'grades', 'levels'].sort(),
    );
    for (const { title, columns } of SPEC_SECTIONS)
      expect([title, columns.length > 1]).toEqual([title, true]);
  });
});

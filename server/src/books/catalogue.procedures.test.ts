import { emptySpecCard } from '@yugator/contracts';
import { composeSheet, DEFAULT_HOUSE, PROCEDURES, proceduresFor, usualFittings } from '@yugator/core';
import { CATALOGUE } from './catalogue.js';

const LINES = CATALOGUE.flatMap((book) =>
  book.items.map(({ name, action, components = [] }) => ({
    book,
    item: { id: name, name, action, components },
  })),
);

describe('the books that ship', () => {
  it('ask for nothing that no procedure knows', () => {
    expect(LINES.length).toBeGreaterThan(50);
    const unknown = LINES.filter(({ item }) => proceduresFor(item).some(({ key }) => key === 'byTheBook'));
    expect(unknown.map(({ item }) => item.name)).toEqual([]);
  });

  it('between them ask for every procedure of the catalogue but the levels that crews write down themselves', () => {
    const asked = new Set(LINES.flatMap(({ item }) => proceduresFor(item).map(({ key }) => key)));
    const others = PROCEDURES.map(({ key }) => key).filter((key) => !asked.has(key));
    expect(others.sort()).toEqual([
      ...['brakeFluidLevel', 'engineOilLevel', 'frontAxleOilLevel', 'frontDifferentialOilLevel'],
      ...['gearboxOilLevel', 'hydraulicOilLevel', 'hydroOilLevel'],
      ...['steeringFluidLevel', 'transaxleOilLevel', 'transmissionOilLevel'],
    ]);
  });

  it('can each be composed whole, by every machine of its class', () => {
    for (const { name, machineClass, items } of CATALOGUE) {
      const fuel = /diesel|loader/.test(name) ? 'diesel' : 'gasoline';
      const sheet = composeSheet({
        machineClass,
        fuel,
        cooling: 'air',
        spec: emptySpecCard(),
        ...DEFAULT_HOUSE,
        fittings: usualFittings(machineClass, fuel),
        items: items.map((item) => ({
          id: item.name,
          name: item.name,
          action: item.action,
          components: item.components ?? [],
        })),
      });
      const seen = new Set(sheet.steps.flatMap(({ itemIds }) => itemIds));
      expect([name, items.filter((item) => !seen.has(item.name))]).toEqual([name, []]);
    }
  });
});

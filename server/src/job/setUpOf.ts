import { emptySpecCard } from '@yugator/contracts';
import type { SpecCardDto } from '@yugator/contracts';
import { usualFittings } from '@yugator/core';
import type { MachineFacts, MachineSetUp } from '@yugator/core';
import { jsonValue } from '../database/columns.js';
import type { Machine } from '../machine/machine.model.js';
import type { Site } from '../site/site.model.js';
import { rulesOf } from '../site/workshop.js';

/** The machine, the shop and the chosen items, as a sheet is composed from them; all items of the machine where none are chosen. */
export function setUpOf(
  { machine, facts }: { readonly machine: Machine; readonly facts: Pick<MachineFacts, 'items'> },
  site: Site,
  itemIds: ReadonlySet<string> | null,
): MachineSetUp {
  const { machineClass, fuel } = machine;
  const card: SpecCardDto = { ...emptySpecCard(), ...(jsonValue(machine.spec) as SpecCardDto | null) };
  const { fluids, torques, plugs, tyres, plays, decks, charging, fittings, tools, service } = card;
  return {
    machineClass,
    fuel,
    cooling: machine.cooling ?? (fuel === 'diesel' ? 'liquid' : 'air'),
    fittings: service ?? usualFittings(machineClass, fuel),
    spec: { fluids, torques, plugs, tyres, plays, decks, charging, fittings, tools },
    rules: rulesOf(site),
    items: facts.items
      .filter(({ id }) => itemIds === null || itemIds.has(id))
      .map(({ id, name, action, components }) => ({ id, name, action, components })),
  };
}

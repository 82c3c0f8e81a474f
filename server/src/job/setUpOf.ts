import { fittingsOf } from '@yugator/core';
import type { MachineFacts, MachineSetUp } from '@yugator/core';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import type { Machine } from '../models/machine.model.js';
import type { Site } from '../models/site.model.js';
import { figuresOf } from '../site/workshop.js';

/** The machine, the shop and the chosen items, as a sheet is composed from them; all items of the machine where none are chosen. */
export function setUpOf(
  { machine, facts }: { readonly machine: Machine; readonly facts: Pick<MachineFacts, 'items'> },
  site: Site,
  itemIds: ReadonlySet<string> | null,
): MachineSetUp {
  const { machineClass, fuel } = machine;
  const card = storedCardOrEmpty(machine.spec);
  const { fluids, torques, plugs, tyres, plays, decks, charging, fittings, access, tools, ways, service } =
    card;
  return {
    machineClass,
    fuel,
    cooling: machine.cooling ?? (fuel === 'diesel' ? 'liquid' : 'air'),
    fittings: fittingsOf(service, machineClass, fuel),
    spec: { fluids, torques, plugs, tyres, plays, decks, charging, fittings, access, tools },
    rules: rulesOn(machine, site),
    figures: figuresOf(site),
    ways,
    items: facts.items
      .filter(({ id }) => itemIds === null || itemIds.has(id))
      .map(({ id, name, action, components, triggers }) => {
        const storage = triggers.find((trigger) => trigger.kind === 'storage');
        return { id, name, action, components, storageDays: storage?.days ?? null };
      }),
  };
}

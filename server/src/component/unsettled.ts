import { Injectable } from '@nestjs/common';
import type { SpecCardDto, UnsettledDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { Book, Item } from '../models/book.model.js';
import { storedComponents } from '../facts/scheduleItem.js';
import { Machine } from '../models/machine.model.js';
import { storedCard } from '../machine/storedCard.js';

/** Names of the lines of a card that no component is known of. */
function unknownOnCard({ fluids, torques, plays, fittings, filters, tools }: SpecCardDto): string[] {
  const lines = [
    ...fluids.map(({ component, fluid: name }) => ({ component, name })),
    ...torques.map(({ component, fastener: name }) => ({ component, name })),
    ...[plays, fittings, filters, tools].flat(),
  ];
  return lines.filter(({ component }) => !component).map(({ name }) => name);
}

/** What older versions left in words that nobody but the crew lead can place in the list of components. */
@Injectable()
export class Unsettled {
  async list(): Promise<UnsettledDto[]> {
    const [books, machines, items] = await Promise.all([
      Book.findAll({ attributes: ['id', 'name'], order: ['name'], raw: true }),
      Machine.findAll({ attributes: ['id', 'tag', 'spec'], order: ['tag'] }),
      Item.findAll({ where: { dropped: false, oldWords: { [Op.ne]: '' } }, order: ['place'] }),
    ]);
    const open = items.filter((item) => storedComponents(item.components).length === 0);
    const lines = (where: 'book' | 'machine', id: string, of: string): UnsettledDto[] =>
      open
        .filter((item) => (where === 'book' ? item.bookId : item.machineId) === id)
        .map(({ name, oldWords }) => ({ where, id, of, line: name, words: oldWords }));
    return [
      ...books.flatMap(({ id, name }) => lines('book', id, name)),
      ...machines.flatMap(({ id, tag }) => lines('machine', id, tag)),
      ...machines.flatMap(({ id, tag, spec }) => {
        const card = storedCard(spec);
        return (card ? unknownOnCard(card) : []).map((name): UnsettledDto => ({
          where: 'card',
          id,
          of: tag,
          line: name,
          words: name,
        }));
      }),
    ];
  }
}

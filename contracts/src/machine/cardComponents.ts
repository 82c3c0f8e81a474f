import { cardComponent } from '@yugator/core';
import type { SpecCardDto } from './specCard.dto.js';

/** A card with the component of every line said, those of an older version by their names; null where a name is not known. */
export function withComponents(card: SpecCardDto): SpecCardDto {
  const named = <T extends { component?: SpecCardDto['tools'][number]['component']; name: string }>(
    row: T,
  ): T => ({
    ...row,
    component: cardComponent(row.component, row.name),
  });
  return {
    ...card,
    fluids: card.fluids.map((row) => ({ ...row, component: cardComponent(row.component, row.fluid) })),
    torques: card.torques.map((row) => ({ ...row, component: cardComponent(row.component, row.fastener) })),
    plays: card.plays.map(named),
    fittings: card.fittings.map(named),
    filters: card.filters.map(named),
    tools: card.tools.map(named),
  };
}

import type { MachineSetUp, ProposalReason } from '@yugator/core';
import { DefectDto } from '../defect/defect.dto.js';
import { MachineRefDto } from '../machine/machine.dto.js';
import { DueLineDto } from '../schedule/due.dto.js';

/** An item that is worth doing in a visit, and why. */
export class ProposalDto {
  itemId!: string;
  reason!: ProposalReason;
}

/** What an item takes from the shelf. */
export class ItemNeedDto {
  itemId!: string;
  articleId!: string;
  name!: string;
  unit!: 'piece' | 'litre';
  quantity!: number;
  onHand!: number;
  /** for a piece or litre, in minor units */
  priceMinor!: number;
}

/** What the shop drains into, in litres. */
export class VesselsDto {
  panLitres!: number;
  extractorLitres!: number;
  /** that the used-oil container still takes */
  roomLitres!: number;
}

/** What a visit of a machine could be composed of. */
export class VisitDto {
  machine!: MachineRefDto;
  /** with every item that the machine has */
  setUp!: MachineSetUp;
  lines!: DueLineDto[];
  proposals!: ProposalDto[];
  needs!: ItemNeedDto[];
  vessels!: VesselsDto;
  defects!: DefectDto[];
  openJobId!: string | null;
}

import type { Component, FluidJudgement, MachineSetUp, ProposalReason } from '@yugator/core';
import { DefectDto } from '../defect/defect.dto.js';
import { MachineRefDto } from '../machine/machine.dto.js';
import { DueLineDto } from '../schedule/due.dto.js';
import { KitPartDto } from '../shelf/article.dto.js';
import { ShedStockDto } from '../shelf/shedStock.dto.js';

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
  /** what it is for, where it follows from what fits the machine; null where the line of its book names it */
  component!: Component | null;
  /** of a fluid: whether it may go in; null of anything else */
  judgement!: FluidJudgement | null;
  /** what of it lies in which shed; empty where sheds are not told apart */
  sheds!: ShedStockDto[];
}

/** A kit on the shelf that holds something of what is needed. */
export class ShelvedKitDto {
  articleId!: string;
  name!: string;
  onHand!: number;
  priceMinor!: number;
  contents!: KitPartDto[];
  /** what of it lies in which shed; empty where sheds are not told apart */
  sheds!: ShedStockDto[];
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
  kits!: ShelvedKitDto[];
  /** the shed of the machine; null where sheds are not told apart */
  shed!: string | null;
  vessels!: VesselsDto;
  defects!: DefectDto[];
  openJobId!: string | null;
}

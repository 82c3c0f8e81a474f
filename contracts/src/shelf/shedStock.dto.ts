import { IsOptional } from 'class-validator';
import { IsText } from '../rules/index.js';

/** How much of an article lies in a shed. */
export class ShedStockDto {
  /** null: nobody said in which */
  shed!: string | null;
  quantity!: number;
}

/** The sheds between which stock is told apart; none on a site with one. */
export class ShedsDto {
  sheds!: string[];
}

/** Says in which shed all lies of which nobody said it. */
export class SettleShedDto {
  @IsText({ least: 1, most: 60, message: 'Choose a shed.' })
  shed!: string;
}

/** The shed in which something comes, goes or is counted. */
export class InShedDto {
  /** '' or left out: nobody says in which */
  @IsOptional()
  @IsText({ most: 60, message: 'Choose a shed.' })
  shed?: string | null;
}

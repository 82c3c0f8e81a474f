import type { ArticleUnit } from './article.dto.js';
import { MovementDto } from './article.dto.js';

/** What the shelf was worth through a month, in minor units; what went out stands below 0. */
export class ShelfMonthDto {
  /** such as 2026-11 */
  month!: string;
  opening!: number;
  cameIn!: number;
  /** by jobs and rounds, less what they left of kits */
  used!: number;
  /** put right by counts */
  counted!: number;
  scrapped!: number;
  /** lent, less what came back */
  lent!: number;
  /** what went out before it came in cost more or less than was thought */
  priced!: number;
  closing!: number;
}

/** What was paid for an article that came in. */
export class PricePaidDto {
  /** civil date at the site */
  on!: string;
  quantity!: number;
  /** of one piece or litre, in minor units; of parts of them, rounded */
  priceMinor!: number;
  note!: string;
}

/** A movement of any article, as it goes out to a file. */
export class LedgerLineDto extends MovementDto {
  article!: string;
  /** our own; '' where it has none */
  number!: string;
  unit!: ArticleUnit;
}

export class LedgerPageDto {
  /** latest first */
  lines!: LedgerLineDto[];
  /** of all pages */
  total!: number;
}

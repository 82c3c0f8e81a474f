import type { ArticleKind, ArticleUnit } from '../shelf/article.dto.js';

/** What a machine is expected to take of an article in the coming twelve months. */
export class TakenDto {
  articleId!: string;
  name!: string;
  unit!: ArticleUnit;
  /** our own; '' where it has none */
  number!: string;
  /** where it lies; '' where nobody said */
  place!: string;
  quantity!: number;
  times!: number;
  /** at today's price, in minor units */
  costMinor!: number;
}

/** How much of an article the jobs of a machine used in a year. */
export class UsedLineDto {
  articleId!: string;
  name!: string;
  kind!: ArticleKind;
  unit!: ArticleUnit;
  drawn!: number;
  /** of kits that were opened: what went back on the shelf as this article */
  left!: number;
  costMinor!: number;
}

/** What the jobs of a machine used in a civil year, a season, or between seasons. */
export class UsedPeriodDto {
  /** the season that it is, or lies before; null of a civil year */
  season!: string | null;
  year!: number;
  /** between the seasons, before that one */
  isBefore!: boolean;
  /** engine hours run in it */
  hours!: number;
  lines!: UsedLineDto[];
  costMinor!: number;
}

/** What a machine takes in a year, and what it took. */
export class PartsUsedDto {
  /** civil date: the last of the twelve months */
  until!: string;
  takes!: TakenDto[];
  /** the latest first */
  years!: UsedPeriodDto[];
  /** by the machine's own seasons, the latest first; none where it has no season */
  seasons!: UsedPeriodDto[];
}

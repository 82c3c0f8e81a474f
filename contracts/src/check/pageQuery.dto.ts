import { Type } from 'class-transformer';
import { IsInt, IsOptional, Max, Min } from 'class-validator';

/** Which page of a list is asked for. */
export class PageQueryDto {
  @IsOptional()
  @Type(() => Number)
  @Min(1, { message: 'Pages count from 1.' })
  @Max(100_000, { message: 'There is no such page.' })
  @IsInt({ message: 'Give the page as a whole number.' })
  page?: number;
}

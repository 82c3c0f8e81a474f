import { checkBody } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { FilterTraitsDto, FluidTraitsDto, MakerNumberDto, PlugTraitsDto } from '@yugator/contracts';
import { storedList, storedObject } from '../database/storedJson.js';
import type { Article } from '../models/shelf.model.js';

/** What is known of an article besides what it is called and costs. */
export type ArticleTraits = Pick<ArticleDto, 'makerNumbers' | 'fluid' | 'filter' | 'plug'>;

/** A stored part of an article; null where nothing is stored. Throws where the table holds something else. */
function storedPart<T extends object>(dto: new () => T, value: unknown): T | null {
  const part = storedObject(value ?? null);
  if (!part) return null;
  const checked = checkBody(dto, part);
  if (checked.faults)
    throw new Error(`A stored trait of an article is wrong: ${checked.faults[0]?.detail ?? ''}`);
  return checked.value;
}

/** The traits of an article as they are stored. Throws where the table holds something else. */
export function storedTraits({ traits }: Pick<Article, 'traits'>): ArticleTraits {
  const stored = storedObject(traits) ?? {};
  return {
    makerNumbers: storedList(stored['makerNumbers'] ?? null).flatMap(
      (each) => storedPart(MakerNumberDto, each) ?? [],
    ),
    fluid: storedPart(FluidTraitsDto, stored['fluid']),
    filter: storedPart(FilterTraitsDto, stored['filter']),
    plug: storedPart(PlugTraitsDto, stored['plug']),
  };
}

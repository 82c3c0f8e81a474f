import type { ArticleDto, ArticleFieldsDto } from '@yugator/contracts';

type MoreFields = Required<
  Pick<
    ArticleFieldsDto,
    'number' | 'barcode' | 'place' | 'component' | 'makerNumbers' | 'fluid' | 'filter' | 'plug'
  >
>;

/** An article of which nothing is said but its name, kind and price. */
export const NOTHING_SAID: MoreFields = {
  number: '',
  barcode: '',
  place: '',
  component: null,
  makerNumbers: [],
  fluid: null,
  filter: null,
  plug: null,
};

/** What a form begins with for an article that is known. */
export function fieldsOf(article: ArticleDto): ArticleFieldsDto {
  const {
    name,
    leastOnHand,
    priceMinor,
    number,
    barcode,
    place,
    component,
    makerNumbers,
    fluid,
    filter,
    plug,
  } = article;
  return {
    name,
    leastOnHand,
    priceMinor,
    number,
    barcode,
    place,
    component,
    makerNumbers,
    fluid,
    filter,
    plug,
  };
}

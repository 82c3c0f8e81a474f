import type { CreateArticleDto, FieldFaultDto, UpdateArticleDto } from '@yugator/contracts';
import { categoriesOf, componentSpec, FLUID_KINDS } from '@yugator/core';
import type { Component } from '@yugator/core';
import { Op } from 'sequelize';
import { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import { storedTraits } from './articleTraits.js';
import type { ArticleTraits } from './articleTraits.js';

type Fields = Omit<CreateArticleDto, 'kind' | 'unit'> | Omit<UpdateArticleDto, 'contents' | 'version'>;

const NO_TRAITS: ArticleTraits = { makerNumbers: [], fluid: null, filter: null, plug: null };

function said<T>(now: T | undefined, before: T): T {
  return now === undefined ? before : now;
}

/** What is typed of an article as it is stored; what is left out stays as it was `before`. */
export function columnsOf(fields: Fields, before: Article | null) {
  const was = before ? storedTraits(before) : NO_TRAITS;
  return {
    name: fields.name,
    leastOnHand: fields.leastOnHand,
    priceMinor: fields.priceMinor,
    // None is stored as such: of those that have one, each has its own.
    number: said(fields.number, before?.number ?? '') || null,
    barcode: said(fields.barcode, before?.barcode ?? '') || null,
    place: said(fields.place, before?.place ?? ''),
    component: said(fields.component, before?.component ?? null),
    traits: {
      makerNumbers: said(fields.makerNumbers, was.makerNumbers),
      fluid: said(fields.fluid, was.fluid),
      filter: said(fields.filter, was.filter),
      plug: said(fields.plug, was.plug),
    },
  };
}

type Columns = ReturnType<typeof columnsOf>;

/** What speaks against an article of a kind being of a component. */
function componentFault(kind: Article['kind'], component: Component | null): string | null {
  if (component === null) return null;
  if (kind === 'kit') return 'A kit is of what it holds. Leave out what it is for.';
  const isFluid = componentSpec(component).is === 'fluid';
  if (kind === 'part' && isFluid) return 'That is a fluid, and this a part. Choose another.';
  return kind === 'fluid' && !isFluid ? 'This is a fluid; choose a fluid, or leave it out.' : null;
}

/** What speaks against the measures of an article of a component. */
function measureFault({ component, traits }: Columns): string | null {
  const isFilter = component !== null && componentSpec(component).is === 'filter';
  if (traits.filter && !isFilter) return 'Choose which filter it is, or leave its measures out.';
  return traits.plug && component !== 'sparkPlugs'
    ? 'Choose spark plugs, or leave the measures of a plug out.'
    : null;
}

function fluidFaults(kind: Article['kind'], { traits: { fluid } }: Columns): FieldFaultDto[] {
  if (!fluid) return [];
  if (kind !== 'fluid') return [fault('/fluid', 'noFluid', 'Only a fluid has a grade and categories.')];
  const { words } = FLUID_KINDS[fluid.kind];
  const named = categoriesOf(fluid.kind);
  const other = fluid.categories.find((category) => !named.includes(category));
  return other
    ? [fault('/fluid/categories', 'otherFamily', `${other} is no category of ${words}. Take it out.`)]
    : [];
}

/** What speaks against the traits of an article of a kind. */
export function traitFaults(kind: Article['kind'], columns: Columns): FieldFaultDto[] {
  const wrong = componentFault(kind, columns.component) ?? measureFault(columns);
  return [...(wrong ? [fault('/component', 'doesNotGo', wrong)] : []), ...fluidFaults(kind, columns)];
}

/** What speaks against an article being called so: another that has the name, number or code already. */
async function takenFaults({ name, number, barcode }: Columns, id: string | null): Promise<FieldFaultDto[]> {
  const codes = [number, barcode].filter((code) => code !== null);
  const others = await Article.findAll({
    where: {
      [Op.or]: [{ name }, ...(codes.length ? [{ number: codes }, { barcode: codes }] : [])],
      id: { [Op.ne]: id ?? '' },
    },
  });
  const isSame = (a: string | null, b: string | null) => a !== null && a.toLowerCase() === b?.toLowerCase();
  return others.flatMap((other) => {
    const faults: FieldFaultDto[] = [];
    if (isSame(name, other.name)) {
      const detail = 'There is already an article of this name. Give another, or add stock to that one.';
      faults.push(fault('/name', 'taken', detail));
    }
    // A scanner finds an article by either, so that a code may stand for one article alone.
    for (const [field, code] of [['number', number] as const, ['barcode', barcode] as const])
      if (isSame(code, other.number) || isSame(code, other.barcode))
        faults.push(
          fault(
            `/${field}`,
            'taken',
            `That is the ${other.number === code ? 'number' : 'code'} of ${other.name}.`,
          ),
        );
    return faults;
  });
}

/** What speaks against an article being stored so; `id` of the one that is changed. */
export async function articleFaults(
  kind: Article['kind'],
  columns: Columns,
  id: string | null,
): Promise<FieldFaultDto[]> {
  return [...traitFaults(kind, columns), ...(await takenFaults(columns, id))];
}

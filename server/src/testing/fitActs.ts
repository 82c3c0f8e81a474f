import { emptySpecCard } from '@yugator/contracts';
import type {
  ArticleDto,
  CreateArticleDto,
  FitFieldsDto,
  FitsDto,
  MachineDetailDto,
  ProblemDto,
  SpecCardDto,
} from '@yugator/contracts';
import type { Yard } from './testApp.js';

export type Refused = Omit<ProblemDto, 'status'>;

export const FILTER = { height: 80, outside: 76, gasket: 62, thread: '3/4-16 UNF', bypass: null };

/** Where something is wrong, and what. */
export const faultsOf = ({ errors = [] }: Refused) => errors.map(({ pointer, code }) => [pointer, code]);

/** What is done with articles and what fits the machines of the test crew. */
export function fitActs(yard: () => Yard) {
  async function article(fields: Partial<CreateArticleDto> & { name: string }): Promise<string> {
    const plain = { kind: 'part', unit: 'piece', leastOnHand: 0, priceMinor: 500 };
    const made = await yard().ask<ArticleDto & Refused>('POST', '/api/articles', {
      body: { ...plain, ...fields },
    });
    expect([fields.name, made.status, made.body.errors ?? []]).toEqual([fields.name, 201, []]);
    return made.body.id;
  }

  const oil = (name: string, grade: string, ...categories: string[]) =>
    article({
      name,
      kind: 'fluid',
      unit: 'litre',
      component: 'engineOil',
      fluid: { kind: 'engineOil', grade, categories },
    } as Parameters<typeof article>[0]);

  const filter = (
    name: string,
    over: Partial<typeof FILTER> = {},
    makerNumbers: ArticleDto['makerNumbers'] = [],
  ) => article({ name, component: 'engineOilFilter', filter: { ...FILTER, ...over }, makerNumbers });

  const receive = (id: string, quantity: number) =>
    yard().ask('POST', `/api/articles/${id}/movements`, { body: { kind: 'received', quantity } });

  /** A machine of a make and model on the book of the yard, with an engine that takes 2 L with its filter. */
  async function register(tag: string, over: object = {}): Promise<MachineDetailDto> {
    const { body } = await yard().ask<MachineDetailDto>('POST', '/api/machines', {
      body: {
        tag,
        name: 'Hillside',
        machineClass: 'zeroTurn',
        fuel: 'gasoline',
        make: 'Verrick',
        model: 'Z52',
        shed: 'North shed',
        walkOrder: 50,
        inServiceOn: '2027-01-04',
        inServiceHours: 0,
        cameNew: true,
        bookIds: [yard().crew.book],
        ...over,
      },
    });
    return body;
  }

  async function withCard(machine: MachineDetailDto, category: string): Promise<void> {
    const grades = [{ grade: '10W-30', category, fromCelsius: null, toCelsius: null }];
    const engine = {
      component: 'engineOil' as const,
      fluid: '',
      litresWithFilter: 2,
      litresWithoutFilter: 1.7,
      grades,
    };
    const spec: SpecCardDto = { ...emptySpecCard(), fluids: [engine] };
    const { status } = await yard().ask('PUT', `/api/machines/${machine.id}/spec`, {
      body: { spec, version: machine.version },
    });
    expect(status).toBe(200);
  }

  const fitsOf = async (id: string) => (await yard().ask<FitsDto>('GET', `/api/machines/${id}/fits`)).body;

  const fit = (
    component: FitFieldsDto['component'],
    articleId: string,
    over: Partial<FitFieldsDto> = {},
  ): FitFieldsDto => ({
    component,
    articleId,
    quantity: null,
    standing: 'original',
    reason: '',
    ...over,
  });

  async function say(
    machineId: string,
    fits: readonly FitFieldsDto[],
    as: 'mechanic' | 'crewLead' = 'mechanic',
  ) {
    const { version } = await fitsOf(machineId);
    return yard().ask<FitsDto & Refused>('PUT', `/api/machines/${machineId}/fits`, {
      as,
      body: { fits, version },
    });
  }

  return { article, oil, filter, receive, register, withCard, fitsOf, fit, say };
}

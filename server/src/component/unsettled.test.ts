import { ROLES, emptySpecCard } from '@yugator/contracts';
import type { BookDto, MachineDetailDto, ProblemDto, UnsettledDto } from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

const CHOOSE = 'Choose what it is done to from the list of components.';
const PATH = '/api/unsettled-components';
const waiting = async () => (await yard.ask<UnsettledDto[]>('GET', PATH)).body;
const write = <T>(method: string, path: string, body: object) =>
  yard.ask<T & Omit<ProblemDto, 'status'>>(method, `/api${path}`, { body });

/** A line as a program of an older version sends it: what it is done to in words. */
const oldLine = (name: string, component: string) => ({
  name,
  action: 'inspect' as const,
  component,
  triggers: [{ kind: 'everyHours', hours: 100, meter: 'engine', grid: null }],
  renews: [],
  minutes: 10,
  reference: '',
  note: '',
  windowHours: null,
  windowDays: null,
});
const oldBook = (...items: object[]) =>
  write<BookDto>('POST', '/books', { name: 'Old book', machineClass: 'zeroTurn', meter: 'engine', items });

describe('a line in the words of an older version', () => {
  it('is taken over by itself where every shop means the same by them', async () => {
    const { body } = await oldBook(oldLine('Safety start: try it', ' Safety   Switches '));
    expect(body.items).toMatchObject([{ components: ['safetyStart'] }]);
    expect(await waiting()).toEqual([]);
  });

  it('waits where nobody else can tell, and is settled by choosing', async () => {
    const { body: book } = await oldBook(
      oldLine('Gadget: look over', 'gadget'),
      oldLine('Muffler: look over', 'constructor'),
    );
    const of = { where: 'book', id: book.id, of: 'Old book' };
    expect(await waiting()).toEqual([
      { ...of, line: 'Gadget: look over', words: 'gadget' },
      { ...of, line: 'Muffler: look over', words: 'constructor' },
    ]);
    const [gadget, muffler] = book.items;
    const { name, machineClass, meter, version } = book;
    const { status, body } = await write<BookDto>('PUT', `/books/${book.id}`, {
      name,
      machineClass,
      meter,
      version,
      items: [{ ...gadget, components: ['lights'] }, muffler],
    });
    expect(status).toBe(200);
    // The line that was not touched keeps its words: saving the book settles nothing by itself.
    expect(body.items).toMatchObject([
      { id: gadget?.id, components: ['lights'] },
      { id: muffler?.id, components: [], component: 'constructor' },
    ]);
    expect(await waiting()).toEqual([{ ...of, line: 'Muffler: look over', words: 'constructor' }]);
  });

  it('falls due all the same while it waits', async () => {
    const { body } = await write<MachineDetailDto>('PUT', `/machines/${yard.crew.machine}/items`, {
      items: [oldLine('Gadget: look over', 'gadget')],
      version: 1,
    });
    // New at 0 h, every 100: due at 100; it has 60.
    expect(body.lines.find(({ itemName }) => itemName === 'Gadget: look over')).toMatchObject({
      limits: [{ at: 100, left: 40 }],
    });
    expect(await waiting()).toEqual([
      { where: 'machine', id: yard.crew.machine, of: 'T-1', line: 'Gadget: look over', words: 'gadget' },
    ]);
  });

  it('waits no longer once it is dropped', async () => {
    const path = `/machines/${yard.crew.machine}/items`;
    await write('PUT', path, { items: [oldLine('Gadget: look over', 'gadget')], version: 1 });
    await write('PUT', path, { items: [], version: 2 });
    expect(await waiting()).toEqual([]);
  });

  it.each([
    ['no component', { component: '' }, 'Choose what it is done to, such as engine oil.'],
    ['one that is none', { components: ['warpCore'] }, CHOOSE],
    ['one that only every object has', { components: ['toString'] }, CHOOSE],
    ['the same twice', { components: ['engineOil', 'engineOil'] }, CHOOSE],
  ])('is refused at its line with %s, and nothing is written', async (_, over, sentence) => {
    const { status, body } = await oldBook(oldLine('Lights', 'lights'), {
      ...oldLine('Gadget', 'gadget'),
      ...over,
    });
    expect(status).toBe(422);
    expect(body.errors).toHaveLength(1);
    expect(body.errors?.[0]?.pointer).toMatch(/^#\/items\/1\/components?/);
    expect(body.errors?.[0]?.detail).toBe(sentence);
    expect((await yard.ask<BookDto[]>('GET', '/api/books')).body).toHaveLength(1);
  });
});

describe('a line of a spec card', () => {
  const bolt = { fastener: 'Magic nut', low: 20, high: 25 };
  const card = (torque: object) => ({ ...emptySpecCard(), torques: [torque] });
  const put = (torque: object, version: number) =>
    write<MachineDetailDto>('PUT', `/machines/${yard.crew.machine}/spec`, { spec: card(torque), version });

  it('in words that nobody knows waits by its machine, and is settled on the card', async () => {
    const { body } = await put(bolt, 1);
    expect(await waiting()).toEqual([
      { where: 'card', id: yard.crew.machine, of: 'T-1', line: 'Magic nut', words: 'Magic nut' },
    ]);
    const settled = await put({ ...bolt, component: 'wheelNuts' }, body.version);
    expect(settled.status).toBe(200);
    expect(settled.body.spec?.torques).toMatchObject([{ component: 'wheelNuts', fastener: 'Magic nut' }]);
    expect(await waiting()).toEqual([]);
  });
});

describe('what waits to be settled', () => {
  it('is told to the crew lead alone', async () => {
    const statuses = await Promise.all(
      ROLES.map(async (role) => [role, (await yard.ask('GET', PATH, { as: role })).status]),
    );
    for (const [role, status] of statuses)
      expect([role, status]).toEqual([role, role === 'crewLead' ? 200 : 403]);
    expect((await yard.ask('GET', PATH, { as: undefined })).status).toBe(401);
  });
});

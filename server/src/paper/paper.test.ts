import { LABELS_OF_SHEET } from '@yugator/contracts';
import type { DefectDto, JobDto, JobProgressDto, PrintedLabelDto, ProblemDto } from '@yugator/contracts';
import { CAUTIONS, composeSheet, sheetSteps } from '@yugator/core';
import type { Action, Component } from '@yugator/core';
import { jobActs } from '../testing/jobActs.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';
import { jobSheetPaper } from './jobSheetPaper.js';
import { labelPaper } from './labelPaper.js';
import { paperOf, toPdf } from './pdf.js';
import { serviceLabels } from './serviceLabel.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());
const { open, ready, signOff } = jobActs(() => yard);

/** All words of a piece of paper, in order. */
function wordsOf(content: unknown): string {
  if (typeof content === 'string') return `${content} `;
  if (Array.isArray(content)) return content.map(wordsOf).join('');
  if (typeof content !== 'object' || content === null) return '';
  const { text, stack, columns, table } = content as Record<string, unknown>;
  const body = (table as { body?: unknown } | undefined)?.body;
  return [text, stack, columns, body].map(wordsOf).join('');
}

/** What a mower gets in a usual annual service. */
const ANNUAL: [name: string, action: Action, ...components: Component[]][] = [
  ['Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter'],
  ['Spark plugs', 'replace', 'sparkPlugs'],
  ['Air filter', 'replace', 'airFilter'],
  ['Air pre-filter', 'clean', 'airPreFilter'],
  ['Fuel filter', 'replace', 'fuelFilter'],
  ['Blades: sharpen and balance', 'sharpen', 'blades'],
  ['Grease all points', 'grease', 'deckSpindles', 'axles', 'wheelHubs'],
  ['Tyre pressures', 'inspect', 'tyres'],
];

/** The job with other items. */
function jobOf(job: JobDto, lines: typeof ANNUAL): JobDto {
  const items = lines.map(([name, action, ...components]) => ({ id: name, name, action, components }));
  const [first] = job.items;
  if (!first) throw new Error('The job has no item.');
  return {
    ...job,
    items: items.map(({ id, name }) => ({ ...first, itemId: id, name })),
    setUp: { ...job.setUp, items },
  };
}

/** How many pages a job sheet takes. */
async function pagesOf(job: JobDto): Promise<number> {
  const pdf = await toPdf(paperOf('a4', 'Job sheet', jobSheetPaper(job, 'metric')));
  return pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;
}

describe('a job sheet on paper', () => {
  let job: JobDto;
  beforeAll(async () => {
    job = (await open([yard.crew.oil, yard.crew.grease])).body;
  });

  it('holds every step, and each caution before the step it belongs to', () => {
    const words = wordsOf(jobSheetPaper(job, 'metric'));
    const steps = sheetSteps(job.setUp).filter(({ phase }) => phase !== 'signOff');
    expect(steps.length).toBeGreaterThan(8);
    for (const { text, cautions } of steps) {
      const at = words.indexOf(text);
      expect([text, at >= 0]).toEqual([text, true]);
      for (const key of cautions) {
        const before = words.slice(0, at).lastIndexOf(CAUTIONS[key].title);
        expect([text, key, before >= 0]).toEqual([text, key, true]);
      }
    }
  });

  it('has a place to say what became of every item, and to sign', () => {
    const words = wordsOf(jobSheetPaper(job, 'us'));
    for (const { name } of job.items) expect(words.slice(words.indexOf('Sign off'))).toContain(name);
    expect(words).toMatch(/Date _+ +Hours _+/);
  });

  it('says what is wrong with the machine, with a place to say that it was mended; alone too', async () => {
    const words = 'Deck belt is frayed';
    const path = `/api/machines/${yard.crew.machine}/defects`;
    const { body: defects } = await yard.ask<DefectDto[]>('POST', path, {
      body: { words, severity: 'soon' },
    });
    const told = jobOf({ ...job, defects }, []);
    const [before, after] = wordsOf(jobSheetPaper(told, 'metric')).split('Sign off');
    expect(before).toContain(`Mend: ${words}`);
    expect(before).toContain(CAUTIONS.raisedDeck.text);
    expect(after).toMatch(/Mend: Deck belt is frayed: .*mended/);
  });

  it('takes one page of A4 for one service, and two for a usual annual one', async () => {
    expect(await pagesOf(jobOf(job, ANNUAL.slice(0, 1)))).toBe(1);
    expect(await pagesOf(jobOf(job, ANNUAL))).toBe(2);
  });

  it('says a caution in full once, and calls it by name where the next step has it too', () => {
    const annual = jobOf(job, ANNUAL);
    const words = wordsOf(jobSheetPaper(annual, 'metric'));
    const { title, text } = CAUTIONS.blades;
    const { steps } = composeSheet(annual.setUp);
    const begun = steps.filter(
      ({ cautions }, at) => cautions.includes('blades') && !steps[at - 1]?.cautions.includes('blades'),
    );
    expect(begun.length).toBeGreaterThan(0);
    expect(words.split(text).length - 1).toBe(begun.length);
    expect(words.split(`${title}, as before.`).length - 1).toBeGreaterThan(2);
  });

  it.each(['jobs/ID/sheet.pdf', 'jobs/ID/sheet.pdf?paper=letter', 'machines/MACHINE/record.pdf'])(
    '%s is a PDF',
    async (path) => {
      const url = `/api/${path.replace('ID', job.id).replace('MACHINE', yard.crew.machine)}`;
      const { status, body, headers } = await yard.ask<string>('GET', url);
      expect([status, headers['content-type'], body.slice(0, 5)]).toEqual([200, 'application/pdf', '%PDF-']);
    },
  );

  it('on no known paper is refused', async () => {
    const { status, body } = await yard.ask<ProblemDto>('GET', `/api/jobs/${job.id}/sheet.pdf?paper=skin`);
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, '#/paper']);
    await yard.ask('POST', `/api/jobs/${job.id}/drop`, { body: { version: job.version } });
  });
});

describe('labels', () => {
  it('are there once the oil was changed: date, hours and when next; a void record has none', async () => {
    const before = await ready();
    const poured = { isDone: true, isAcknowledged: true, found: { poured: 'Ferrolux 10W-30' }, version: 0 };
    const path = `/api/jobs/${before.id}/steps/engineOil.pour`;
    const ticked = await yard.ask<JobProgressDto>('PUT', path, { as: 'mechanic', body: poured });
    expect((await yard.ask('POST', `/api/jobs/${before.id}/labels/print`)).status).toBe(409);
    const { body: job } = await signOff({ ...before, version: ticked.body.version });
    // Done at 61.5 h, every 50: next at 111.5.
    expect(serviceLabels(job)).toMatchObject([
      { title: 'T-1  Oil filter', lines: ['2027-05-13   61.5 h', 'Ferrolux 10W-30', 'next 111.5 h'] },
      { title: 'T-1  Engine oil' },
    ]);
    expect((await yard.ask('POST', `/api/jobs/${job.id}/labels/print`)).status).toBe(204);
    const { body: printed } = await yard.ask<PrintedLabelDto[]>('GET', '/api/label-printer');
    expect(printed.map(({ title }) => title)).toEqual(['T-1  Engine oil', 'T-1  Oil filter']);
    const pdf = await yard.ask<string>('GET', `/api/jobs/${job.id}/labels.pdf?paper=letter&from=30`);
    expect(pdf.body.slice(0, 5)).toBe('%PDF-');
    // A sheet of A4 has 24 labels.
    const beyond = await yard.ask<ProblemDto>('GET', `/api/jobs/${job.id}/labels.pdf?paper=a4&from=25`);
    expect([beyond.status, beyond.body.errors?.[0]?.pointer]).toEqual([422, '#/from']);
    await yard.ask('POST', `/api/records/${job.id}/void`, { body: { reason: 'Wrong machine' } });
    expect((await yard.ask('GET', `/api/jobs/${job.id}/labels.pdf`)).status).toBe(409);
  });

  it('lie on their sheet, none over its edge and none over another', () => {
    const label = { title: 'T-1', lines: ['a', 'b'] };
    for (const [paper, width, height] of [
      ['a4', 595.28, 841.89],
      ['letter', 612, 792],
    ] as const) {
      const { content } = labelPaper(
        Array.from({ length: LABELS_OF_SHEET[paper] }, () => label),
        paper,
        1,
      );
      const places = (content as { absolutePosition: { x: number; y: number } }[]).map(
        (each) => each.absolutePosition,
      );
      expect(new Set(places.map(({ x, y }) => `${x} ${y}`)).size).toBe(LABELS_OF_SHEET[paper]);
      expect(Math.max(...places.map(({ x }) => x))).toBeLessThan(width - 100);
      expect(Math.max(...places.map(({ y }) => y))).toBeLessThan(height - 40);
    }
  });
});

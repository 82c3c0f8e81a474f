import { fetchWords } from '@yugator/contracts';
import type { JobDto } from '@yugator/contracts';
import { composeSheet, fluidWords, phaseWords, ruleWords } from '@yugator/core';
import type { MachineSpec, SheetStep, UnitSystem } from '@yugator/core';
import type { Column, Content } from 'pdfmake/interfaces.js';
import { mendingName } from '../defect/mendingName.js';
import { BLANK, cautionWords, stepLines, tick } from './stepWords.js';

const OUTCOMES = ['done', 'kept', 'put off', 'defect'].map(tick).join('  ');
/** Steps stand in two columns, as a person reads them: down the left, then down the right. */
const COLUMN_GAP = 18;
/** A box to tick; made anew each time, for the printer moves what it is given. */
function box(): Column {
  return {
    canvas: [{ type: 'rect', x: 0, y: 1, w: 11, h: 11, lineWidth: 1 }],
    width: 16,
  };
}

/** The cautions of a step, beside a bar. */
function cautionBlock(step: SheetStep, before: SheetStep | undefined): Content[] {
  if (step.cautions.length === 0) return [];
  const words = cautionWords(step, before).map(({ title, text }): Content => ({
    text: [{ text: `${title} `, bold: true }, text],
    style: 'small',
  }));
  return [
    {
      layout: {
        hLineWidth: () => 0,
        vLineWidth: (index: number) => (index === 0 ? 4 : 0),
        paddingLeft: () => 6,
        paddingTop: () => 0,
        paddingBottom: () => 0,
      },
      table: { widths: ['*'], body: [[{ stack: words }]] },
      margin: [16, 2, 0, 1],
    },
  ];
}

/**
 * A step on paper: its cautions first, a box to tick, what to do, and blanks for what is found; all in one column, with the head of its
 * phase where it is the first of it.
 */
function stepBlock(steps: readonly SheetStep[], index: number, job: JobDto, units: UnitSystem): Content {
  const [step, before] = [steps[index], steps[index - 1]];
  if (!step) return [];
  const tools = step.tools.length ? ` (${step.tools.join(', ')})` : '';
  return {
    unbreakable: true,
    stack: [
      ...(step.phase !== before?.phase ? [{ text: phaseWords(step.phase, steps), style: 'phase' }] : []),
      ...cautionBlock(step, before),
      {
        columns: [
          box(),
          {
            stack: [
              {
                text: [
                  { text: step.text, bold: true },
                  { text: tools, style: 'small' },
                ],
              },
              ...stepLines(step, job.setUp, units).map((text): Content => ({ text, margin: [0, 1, 0, 0] })),
            ],
          },
        ],
        columnGap: 0,
        margin: [0, 0, 0, 3],
      },
    ],
  };
}

/** What a job is for: its items and the open defects of its machine. */
function workOf({ items, defects }: JobDto): string[] {
  return [...items.map(({ name }) => name), ...defects.map(({ words }) => mendingName(words))];
}

function signOffBlock(job: JobDto): Content {
  return {
    unbreakable: true,
    stack: [
      { text: 'Sign off', style: 'head' },
      ...job.items.map(({ name }): Content => ({
        text: `${name}: ${OUTCOMES}`,
        margin: [0, 1, 0, 0],
      })),
      ...job.defects.map(({ words }): Content => ({
        text: `${mendingName(words)}: ${tick('mended')}`,
        margin: [0, 1, 0, 0],
      })),
      { text: `Date ${BLANK}${BLANK}  Hours ${BLANK}${BLANK}`, margin: [0, 8, 0, 6] },
      { text: `Minutes ${BLANK}  Done by ${BLANK}${BLANK}${BLANK}`, margin: [0, 0, 0, 6] },
      { text: `Used, and found: ${'_'.repeat(28)}` },
    ],
  };
}

/** What comes out has been approved long ago. */
const NO_GRADES = { fluids: [] };

/** The job sheet as it is printed: steps in the order of work, cautions before the step they belong to. */
export function jobSheetPaper(job: JobDto, units: UnitSystem): Content[] {
  const sheet = composeSheet(job.setUp);
  const { tools, drained, filled } = sheet.fetch;
  const fluids = (list: typeof drained, spec: Pick<MachineSpec, 'fluids'>) =>
    list.map((each) => fluidWords(each, spec, units)).join('; ');
  const head: Content[] = [
    { text: `${job.machine.tag}  ${job.machine.name}`, style: 'title' },
    { text: workOf(job).join('; '), margin: [0, 2, 0, 4] },
    {
      text: `Opened ${job.openedOn} by ${job.openedBy}. ${sheet.handsOn} min of work; ${Math.round(sheet.elapsed.one)} min alone, ${Math.round(sheet.elapsed.two)} min for two.`,
    },
    { text: 'Fetch first', style: 'head' },
    { text: `Tools: ${tools.join(', ') || 'none'}.` },
    ...(filled.length ? [{ text: `Fluids: ${fluids(filled, job.setUp.spec)}.` }] : []),
    ...(drained.length ? [{ text: `Room for: ${fluids(drained, NO_GRADES)}.` }] : []),
    ...(job.needs.length
      ? [
          {
            text: `Parts: ${fetchWords(job, units).join('; ')} (house rule: ${ruleWords('parts', job.setUp)}).`,
          },
        ]
      : []),
  ];
  const steps = sheet.steps.filter(({ phase }) => phase !== 'signOff');
  const blocks = steps.map((_step, index) => stepBlock(steps, index, job, units));
  return [
    { stack: head, style: 'dense' },
    {
      columns: [{ stack: [...blocks, signOffBlock(job)] }, { text: '' }],
      columnGap: COLUMN_GAP,
      snakingColumns: true,
      style: 'dense',
    },
  ];
}

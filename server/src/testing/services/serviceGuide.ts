import { CAUTIONS, composeSheet, fluidWords, phaseWords } from '@yugator/core';
import type { Caution, MachineSpec, SheetStep } from '@yugator/core';
import { stepLines } from '../../paper/stepWords.js';
import type { Service } from './services.js';

/** What comes out has been approved long ago. */
const NO_GRADES = { fluids: [] };

function cautionLines(step: SheetStep, before: SheetStep | undefined): string[] {
  return step.cautions.map((key) => {
    const { title, text, technician }: Caution = CAUTIONS[key];
    if (before?.cautions.includes(key)) return `> **${title}**, as before.`;
    return `> **${title}.** ${text}${technician ? ` ${technician}` : ''}`;
  });
}

function stepBlock(
  step: SheetStep,
  before: SheetStep | undefined,
  number: number,
  service: Service,
): string[] {
  const { setUp, units } = service;
  const cautions = cautionLines(step, before);
  const tools = step.tools.length ? ` _(${step.tools.join(', ')})_` : '';
  const head = phaseWords(step.phase, composeSheet(setUp).steps);
  return [
    ...(step.phase === before?.phase ? [] : [`## ${head}`, '']),
    ...(cautions.length ? [...cautions.flatMap((words) => [words, '>']).slice(0, -1), ''] : []),
    `${number}. **${step.text}**${tools}`,
    ...stepLines(step, setUp, units).map((words) => `   - ${words}`),
    '',
  ];
}

/** A service as a page of the guide: the sheet that Yugator composes, in its own words. */
export function serviceGuide(service: Service): string {
  const { title, about, setUp, units } = service;
  const sheet = composeSheet(setUp);
  const { tools, filled, drained } = sheet.fetch;
  const fluids = (list: typeof filled, spec: Pick<MachineSpec, 'fluids'>) =>
    list.map((each) => fluidWords(each, spec, units)).join('; ');
  return [
    `# ${title}`,
    '',
    about,
    '',
    `**Work:** ${setUp.items.map(({ name }) => name).join('; ')}.`,
    '',
    `**Time:** ${sheet.handsOn} min of work; ${Math.round(sheet.elapsed.one)} min alone, ${Math.round(sheet.elapsed.two)} min for two.`,
    '',
    `**Tools:** ${tools.join(', ') || 'none'}.`,
    '',
    ...(filled.length ? [`**Fluids:** ${fluids(filled, setUp.spec)}.`, ''] : []),
    ...(drained.length ? [`**Room for:** ${fluids(drained, NO_GRADES)}.`, ''] : []),
    ...sheet.steps.flatMap((step, index) => stepBlock(step, sheet.steps[index - 1], index + 1, service)),
  ].join('\n');
}

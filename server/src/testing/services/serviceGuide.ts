import { composeSheet, fluidWords, phaseWords } from '@yugator/core';
import type { MachineSpec, Sheet } from '@yugator/core';
import { cautionWords, stepLines } from '../../paper/stepWords.js';
import type { Service } from './services.js';

/** What comes out has been approved long ago. */
const NO_GRADES = { fluids: [] };

function stepBlock({ steps }: Sheet, index: number, { setUp, units }: Service): string[] {
  const [step, before] = [steps[index], steps[index - 1]];
  if (!step) return [];
  const cautions = cautionWords(step, before).map(({ title, text }) => `> **${title}** ${text}`.trim());
  const tools = step.tools.length ? ` _(${step.tools.join(', ')})_` : '';
  return [
    ...(step.phase === before?.phase ? [] : [`## ${phaseWords(step.phase, steps)}`, '']),
    ...(cautions.length ? [cautions.join('\n>\n'), ''] : []),
    `${index + 1}. **${step.text}**${tools}`,
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
    ...sheet.steps.flatMap((_step, index) => stepBlock(sheet, index, service)),
  ].join('\n');
}

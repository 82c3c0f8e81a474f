import 'reflect-metadata';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { codePaper } from './codePaper.js';
import { countPaper } from './countPaper.js';
import { jobSheetPaper } from './jobSheetPaper.js';
import { labelPaper } from './labelPaper.js';
import type { PaperTask } from './paperTask.js';
import { paperOf, toPdf } from './pdf.js';
import { shelfLabelPaper } from './shelfLabelPaper.js';
import { serviceRecordPaper } from './serviceRecordPaper.js';

function definition(task: PaperTask): TDocumentDefinitions | Promise<TDocumentDefinitions> {
  switch (task.kind) {
    case 'jobSheet':
      return paperOf(task.paper, `Job sheet ${task.job.machine.tag}`, jobSheetPaper(task.job, task.units));
    case 'labels':
      return labelPaper(task.labels, task.paper, task.from);
    case 'codes':
      return codePaper(task.codes, task.paper, task.size, task.from);
    case 'shelfLabels':
      return shelfLabelPaper(task.labels, task.paper, task.from);
    case 'count':
      return paperOf(task.paper, 'Count of the shelf', countPaper(task.parts, task.today, task.units));
    case 'record': {
      const { paper, machine, records, today, units } = task;
      const content = serviceRecordPaper(machine, records, today, units);
      return paperOf(paper, `Service record ${machine.tag}`, content);
    }
  }
}

/** Sets a paper in this thread and returns its PDF. */
export default async function paperWorker(task: PaperTask): Promise<Uint8Array> {
  return toPdf(await definition(task));
}

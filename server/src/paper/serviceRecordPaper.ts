import type { MachineDto, RecordDto } from '@yugator/contracts';
import { findingWords, articleWords } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';

function rowOf(record: RecordDto, units: UnitSystem): TableCell[] {
  const others = record.others.map(
    ({ name, outcome, note }) => `${name} (${outcome}${note ? `: ${note}` : ''})`,
  );
  const used = record.draws.map((each) => articleWords(each, units));
  const left = record.left.map((each) => articleWords(each, units));
  const walk = record.kind === 'round' ? ['Walk round'] : [];
  const mended = record.mended.map((words) => `Mended: ${words}`);
  const what = [...walk, ...record.items, ...mended, ...others].join('; ');
  const found = record.findings.map(
    (finding) => `${finding.isGood ? '' : 'NOT GOOD: '}${findingWords(finding, units)}`,
  );
  const voided = record.voided ? `VOID: ${record.voided.reason}. ` : '';
  return [
    record.doneOn,
    { text: record.life.toFixed(1), alignment: 'right' },
    {
      stack: [
        { text: [voided ? { text: voided, bold: true } : '', what, record.note ? ` (${record.note})` : ''] },
        ...(record.fluidReason
          ? [{ text: `A fluid that does not suit was used: ${record.fluidReason}`, fontSize: 8 }]
          : []),
        ...(found.length ? [{ text: `Found: ${found.join('; ')}`, fontSize: 8 }] : []),
      ],
    },
    `${used.join(', ') || '–'}${left.length ? `; left over: ${left.join(', ')}` : ''}`,
    record.signedBy ? `${record.doneBy}, signed by ${record.signedBy}` : record.doneBy,
  ];
}

const HEADS: TableCell[] = [
  { text: 'Date', bold: true },
  { text: 'Hours', bold: true, alignment: 'right' },
  { text: 'Done', bold: true },
  { text: 'Used', bold: true },
  { text: 'By', bold: true },
];

/** The service record of a machine as it is printed, latest first; void records are marked, not left out. */
export function serviceRecordPaper(
  machine: MachineDto,
  records: readonly RecordDto[],
  on: string,
  units: UnitSystem,
): Content[] {
  const { tag, name, make, model, serial, inServiceOn, life } = machine;
  return [
    { text: `${tag}  ${name}`, style: 'title' },
    {
      text: [make, model, serial ? `serial ${serial}` : '', `in service since ${inServiceOn}`]
        .filter(Boolean)
        .join(' · '),
    },
    {
      text: `${life.toFixed(1)} h at the last reading. Printed ${on}. ${records.length} records.`,
      margin: [0, 0, 0, 8],
    },
    {
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        widths: [58, 42, '*', 105, 62],
        body: [HEADS, ...records.map((record) => rowOf(record, units))],
      },
    },
  ];
}

import type { DefectDto, RecordDto } from '@yugator/contracts';

/** A record for the tests of screens: oil and tyres of a zero-turn. */
export function record(over: Partial<RecordDto> = {}): RecordDto {
  return {
    jobId: 'j',
    kind: 'visit',
    machine: { id: 'm', tag: 'M-07', name: 'Lakeside' },
    doneOn: '2027-05-12',
    life: 412.6,
    shown: 412.6,
    doneBy: 'Ansel',
    minutes: 66,
    items: ['Engine oil and filter'],
    mended: [],
    others: [],
    findings: [],
    left: [],
    draws: [{ name: 'Oil change kit', unit: 'piece', quantity: 1, costMinor: 2890 }],
    partsCostMinor: 2890,
    labourCostMinor: 3520,
    costMinor: 6410,
    note: '',
    fluidReason: '',
    wellLooks: [],
    putRight: [],
    topUps: [],
    voided: null,
    signedBy: null,
    ...over,
  };
}

/** An open defect for the tests of screens. */
export function defect(over: Partial<DefectDto> = {}): DefectDto {
  return {
    id: 'd',
    machine: { id: 'm', tag: 'M-07', name: 'Lakeside' },
    foundOn: '2027-05-11',
    reportedBy: 'Dru',
    words: 'Spindle rumbles',
    severity: 'soon',
    minutes: null,
    itemName: null,
    foundInJobId: null,
    openJobId: null,
    plannedOn: null,
    closedByJobId: null,
    ended: null,
    photos: [],
    searches: [],
    ...over,
  };
}

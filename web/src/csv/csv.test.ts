import { csvRows, csvText } from './csv.js';

describe('a file for spreadsheets', () => {
  it('holds no cell that begins a formula', () => {
    const rows = [['=1+1', '+cmd', '-2', '@SUM(A1)', '\tx', 'plain', 7, -3]];
    for (const cell of csvText(rows).replaceAll('"', '').split(',').slice(0, 5)) expect(cell).toMatch(/^'/);
    expect(csvText([['plain', 7, -3]])).toBe('plain,7,-3');
  });

  it('is read back as it was written', () => {
    const rows = [
      ['=1+1', '-2', 'a "quoted", cell', "it's"],
      ['@x', '', "'=1", "'kept"],
    ];
    expect(csvRows(csvText(rows))).toEqual(rows);
  });
});

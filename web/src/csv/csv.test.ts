import { csvRows, csvSheet, csvText } from './csv.js';
import { textOf } from './fileText.js';

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

  it('keeps its empty rows where a spreadsheet counts them', () => {
    expect(csvSheet('name;price\r\n\r\n"Oil; 10W-30";9,50\r\n')).toEqual([
      ['name', 'price'],
      [''],
      ['Oil; 10W-30', '9,50'],
    ]);
    expect(csvRows('a,b\n\nc,d')).toHaveLength(2);
  });

  it('is read in the alphabet in which it was written', () => {
    expect(textOf(new TextEncoder().encode('£ é'))).toBe('£ é');
    expect(textOf(Uint8Array.of(0xa3, 0x20, 0xe9))).toBe('£ é');
    expect(textOf(Uint8Array.of(0xff, 0xfe, 0xa3, 0x00))).toBe('£');
  });
});

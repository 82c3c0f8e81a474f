import fc from 'fast-check';
import { JsonScan } from './jsonScan.js';

/** How a text is judged when it comes in pieces of `size` bytes. */
function judged(text: string, mostValues: number, size = 7): string | null {
  const scan = new JsonScan(mostValues);
  const bytes = Buffer.from(text);
  for (let from = 0; from < bytes.length; from += size) {
    const fault = scan.push(bytes.subarray(from, from + size));
    if (fault) return fault;
  }
  return null;
}

describe('a look at JSON while it comes in', () => {
  it('stops what is too deep or too much, and takes brackets and commas in texts for what they are', () => {
    expect(judged('['.repeat(25), 100)).toBe('deep');
    expect(judged(`${'['.repeat(24)}${']'.repeat(24)}`, 100)).toBeNull();
    expect(judged(JSON.stringify('[{,"\\'.repeat(500)), 5)).toBeNull();
    expect(judged(JSON.stringify(Array(101).fill(0)), 100)).toBe('many');
    expect(judged(JSON.stringify(Array(100).fill(0)), 100)).toBeNull();
  });

  it('judges the same however the text is cut', () => {
    fc.assert(
      fc.property(
        fc.json({ maxDepth: 6 }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 1, max: 40 }),
        (text, most, size) => {
          expect(judged(text, most, size)).toBe(judged(text, most, text.length + 1));
        },
      ),
      { seed: 1 },
    );
  });
});

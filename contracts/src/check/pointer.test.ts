import fc from 'fast-check';
import { pointerParts, pointerTo } from './pointer.js';

// RFC 6901, sections 5 and 6.
test.each([
  ['#', []],
  ['#/foo/0', ['foo', '0']],
  ['#/a~1b', ['a/b']],
  ['#/m~0n', ['m~n']],
  ['#/', ['']],
  ['#/~01', ['~1']],
])('%s names %j', (pointer, parts) => {
  expect(pointerParts(pointer)).toEqual(parts);
  expect(pointerTo(parts)).toBe(pointer);
});

test('a pointer leads back to what it names', () => {
  fc.assert(
    fc.property(fc.array(fc.string()), (parts) => {
      expect(pointerParts(pointerTo(parts))).toEqual(parts);
    }),
  );
});

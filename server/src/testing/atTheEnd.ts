const ends: (() => Promise<void>)[] = [];

/** Has something done once all tests are over that share what is loaded: those of a file, or of a group of files. */
export function atTheEnd(end: () => Promise<void>): void {
  ends.push(end);
}

// Loaded by server/jest.config.cjs before any test file, outside of their blocks.
afterAll(async () => {
  for (const end of ends.splice(0)) await end();
});

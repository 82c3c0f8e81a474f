import { sheetSteps } from './compose.js';
import { followUps } from './followUps.js';
import { setUp, work } from './testing/jobs.js';

describe('what a look asks for', () => {
  const look = work('Air filter: look at', 'inspect', 'airFilter');
  const renew = work('Air filter: replace', 'replace', 'airFilter');
  const plugs = work('Spark plugs: replace', 'replace', 'sparkPlugs');
  const items = [look, renew, plugs];
  const steps = sheetSteps(setUp([look]));
  const key = steps.find((step) => step.look === 'airFilter')?.key ?? '';
  const after = (found: Record<string, string>, chosen = [look.id]) =>
    followUps(steps, new Map([[key, found]]), items, new Set(chosen)).map(({ name }) => name);

  it('is the item that replaces the part, once it is seen to be worn', () => {
    expect(after({ sight: 'dark' })).toEqual(['Air filter: replace']);
    expect(after({ sight: 'torn' })).toEqual(['Air filter: replace']);
    expect(after({ sight: 'dusty' })).toEqual([]);
    expect(after({})).toEqual([]);
  });

  it('follows the person where they decide otherwise', () => {
    expect(after({ sight: 'dark', decided: 'cleanAndRefit' })).toEqual([]);
    expect(after({ sight: 'dusty', decided: 'replace' })).toEqual(['Air filter: replace']);
  });

  it('asks for nothing that the job does already', () => {
    expect(after({ sight: 'dark' }, [look.id, renew.id])).toEqual([]);
  });
});

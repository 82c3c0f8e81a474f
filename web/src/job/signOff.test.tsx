import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { SignOffDto } from '@yugator/contracts';
import { handsOnMinutes, sheetSteps } from '@yugator/core';
import { article } from '../testing/articles.js';
import { dueLine, hoursLimit } from '../testing/fixtures.js';
import { defect } from '../testing/records.js';
import { ANSEL, JobShop, press } from '../testing/jobShop.js';
import { item, ITEMS, job, KIT } from '../testing/jobs.js';
import { outcomeWords } from './outcomeWords.js';

const DEFECT = '00000000-0000-7000-8000-000000000002';

let shop: JobShop;
beforeEach(() => {
  shop = new JobShop();
});

const minutes = () => screen.getByLabelText<HTMLInputElement>('Minutes');
/** Minutes of hands that the oil change takes, as its sheet has them. */
const ofOil = () => String(handsOnMinutes(shop.now.setUp, ['oil']));

describe('what became of it', () => {
  // A short sheet: looking for a button by its role takes long among hundreds.
  beforeEach(() => {
    shop.now = { ...shop.now, setUp: { ...shop.now.setUp, items: [ITEMS[0]] } };
  });

  it('cannot be signed off while nothing is said', async () => {
    await shop.show();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Sign off' }).disabled).toBe(true);
    expect(screen.getByText('Say first what became of the items.')).toBeDefined();
  });

  it('done proposes minutes and parts, which somebody may put right', async () => {
    await shop.show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    expect(screen.getByLabelText<HTMLInputElement>('Pieces of Oil change kit').value).toBe('1');
    expect(screen.getByText('2 items not settled: not done, due as before.')).toBeDefined();
    // Half an hour at 30.00 is 15.00, with the kit of 28.90: 43.90.
    fireEvent.change(minutes(), { target: { value: '30' } });
    await waitFor(() => expect(screen.getByText('£43.90')).toBeDefined());
    fireEvent.change(minutes(), { target: { value: '50' } });
    await press('Done: Air filter: look at');
    await waitFor(() =>
      expect(screen.getByText('1 item not settled: not done, due as before.')).toBeDefined(),
    );
    expect(minutes().value).toBe('50');
  });

  it('otherwise is asked for what it needs, and shows at its field what the server refuses', async () => {
    await shop.show();
    await press('Otherwise: Air filter: look at');
    const dialog = await screen.findByRole('dialog');
    fireEvent.mouseDown(within(dialog).getByLabelText('What became of it'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Found defective' })));
    shop.refusal = {
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/note', code: 'missing', detail: 'Say what is wrong.' }],
    };
    await press('Keep');
    expect(await screen.findByText('Say what is wrong.')).toBeDefined();
    shop.refusal = null;
    fireEvent.change(within(dialog).getByLabelText('What is wrong'), { target: { value: 'Box cracked' } });
    await press('Keep');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(shop.writes.at(-1)?.body).toMatchObject({
      outcome: 'defect',
      severity: 'soon',
      note: 'Box cracked',
    });
  });

  it('otherwise can be said again, nothing typed lost, where the item changed meanwhile', async () => {
    await shop.show();
    await press('Otherwise: Air filter: look at');
    const dialog = within(await screen.findByRole('dialog'));
    fireEvent.change(dialog.getByLabelText('Why'), { target: { value: 'Clean still' } });
    const before = shop.now.items.find(({ itemId }) => itemId === 'air')?.version ?? 0;
    // A tick of another's comes in.
    const items = shop.now.items.map((each) =>
      each.itemId === 'air' ? { ...each, version: before + 1 } : each,
    );
    shop.now = { ...shop.now, items };
    const detail = 'Somebody changed this item meanwhile.';
    shop.refusal = { type: 'about:blank', title: 'Changed', status: 409, detail };
    await press('Keep');
    expect(await dialog.findByText(detail, { exact: false })).toBeDefined();
    expect(shop.writes.at(-1)?.body).toMatchObject({ version: before });
    shop.refusal = null;
    await press('Keep');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(shop.writes.at(-1)?.body).toMatchObject({ note: 'Clean still', version: before + 1 });
  });

  it('kept counts the hours of the meter that the item runs on', async () => {
    const due = dueLine({ itemId: 'air', limits: [hoursLimit({ meter: 'loader' })] });
    shop.now = job({ items: job().items.map((each) => (each.itemId === 'air' ? { ...each, due } : each)) });
    await shop.show();
    await press('Otherwise: Air filter: look at');
    const dialog = within(await screen.findByRole('dialog'));
    fireEvent.change(dialog.getByLabelText('Until the loader has'), { target: { value: '20' } });
    await press('Keep');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(shop.writes.at(-1)?.body).toMatchObject({ outcome: 'kept', untilLife: 20, untilMeter: 'loader' });
    const words = { ...item('air', 'kept'), untilLife: 20, note: '' };
    expect(outcomeWords({ ...words, untilMeter: 'loader' }, '2027-05-13')).toContain('until 20.0 loader h');
    expect(outcomeWords({ ...words, untilMeter: 'engine' }, '2027-05-13')).toContain('until 20.0 h');
  });

  it('asks for the hours on the meter, and does not take over what was read before', async () => {
    shop.now = job();
    await shop.show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    const hours = screen.getByLabelText<HTMLInputElement>('Hours on the meter');
    expect(hours.value).toBe('');
    expect(screen.getByText('Last read: 412.6 h; about 418.2 h expected now')).toBeDefined();
    await press('Sign off');
    await waitFor(() => expect(hours.getAttribute('aria-invalid')).toBe('true'));
    expect(shop.writes.some(({ url }) => url.endsWith('/sign-off'))).toBe(false);
  });

  it('proposes the used oil of what was done, and none of what was not', async () => {
    shop.now = job();
    await shop.show();
    const oil = () => screen.getByLabelText<HTMLInputElement>('Used oil into the container (L)');
    expect(oil().value).toBe('0');
    await press('Done: Air filter: look at');
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(oil().value).toBe('2'));
  });

  it('tells of a fitting that took no grease: it is taken down as a defect', async () => {
    const whole = job();
    const grease = { id: 'g', name: 'Grease', action: 'grease', components: ['axles'] } as const;
    const fittings = [{ component: 'axles', name: 'Axle pivot', where: '', strokes: 3 } as const];
    const setUp = { ...whole.setUp, spec: { ...whole.setUp.spec, fittings }, items: [grease] };
    const key = sheetSteps(setUp).find(({ measurement }) => measurement?.kind === 'grease')?.key ?? '';
    const step = {
      key,
      isDone: true,
      isAcknowledged: true,
      startedAt: null,
      others: [],
      found: { strokes: 0 },
      by: 'A',
      version: 1,
    };
    shop.now = { ...whole, setUp, steps: [step] };
    await shop.show();
    expect(screen.getByText('Taken down as a defect, to be mended soon')).toBeVisible();
    expect(screen.getByText('Strokes at Axle pivot: it takes none')).toBeVisible();
  });

  it('of a job for defects alone waits for what was mended, and proposes how long that takes', async () => {
    const soon = defect({ id: DEFECT, words: 'Deck belt is frayed', minutes: 45 });
    shop.now = job({ items: [], setUp: { ...shop.now.setUp, items: [] }, defects: [soon] });
    await shop.show();
    expect(screen.getByText(/; for 1 open defect/)).toBeVisible();
    expect(screen.queryByRole('heading', { name: 'What became of it' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Sign off' })).toBeDisabled();
    expect(screen.getByText('Say first which defects were mended.')).toBeVisible();
    await act(() => fireEvent.click(screen.getByRole('checkbox', { name: /Deck belt/ })));
    const ofVisit = handsOnMinutes(shop.now.setUp, []);
    expect(ofVisit).toBeGreaterThan(5);
    expect(minutes().value).toBe(String(45 + ofVisit));
    fireEvent.change(screen.getByLabelText('Hours on the meter'), { target: { value: '411.5' } });
    await press('Sign off');
    expect(shop.writes.at(-1)?.body).toMatchObject({
      minutes: 45 + ofVisit,
      draws: [],
      mendedDefectIds: [DEFECT],
    });
  });

  it('is signed off with what stands in the form, and keeps it when the server refuses', async () => {
    shop.now = job({
      defects: [defect({ id: DEFECT, foundOn: '2027-05-01', words: 'Seat torn', severity: 'watch' })],
    });
    await shop.show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    await act(() => fireEvent.click(screen.getByRole('checkbox', { name: /Seat torn/ })));
    shop.refusal = {
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/shown', code: 'backwards', detail: 'Less than the 412.6 h read before.' }],
    };
    fireEvent.change(screen.getByLabelText('Hours on the meter'), { target: { value: '411,5' } });
    await press('Sign off');
    await screen.findByText('Less than the 412.6 h read before.');
    expect(screen.getByLabelText<HTMLInputElement>('Hours on the meter').value).toBe('411,5');
    const sent = shop.writes.at(-1)?.body as SignOffDto;
    expect(sent).toMatchObject({
      doneOn: '2027-05-13',
      shown: 411.5,
      doneById: ANSEL,
      minutes: Number(ofOil()),
      version: 1,
    });
    expect(sent).toMatchObject({ drained: [{ waste: 'oil', litres: 2 }], mendedDefectIds: [DEFECT] });
    expect(sent.draws).toEqual([{ articleId: KIT.articleId, quantity: 1, left: [], onHand: 0 }]);
  });

  it('tells who draws what somebody else drew meanwhile, and books it where it is signed again', async () => {
    const kit = (onHand: number) =>
      article({ id: KIT.articleId, name: 'Oil change kit', onHand, lots: [], priceMinor: 2890 });
    shop.shelf = [kit(1)];
    shop.now = job({ needs: [{ ...KIT, itemId: 'oil', onHand: 1 }] });
    await shop.show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    fireEvent.change(screen.getByLabelText('Hours on the meter'), { target: { value: '413' } });
    shop.shelf = [kit(0)];
    const told = 'Somebody drew it meanwhile.';
    shop.refusal = {
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/draws/0/quantity', code: 'drawnMeanwhile', detail: told }],
    };
    await press('Sign off');
    expect(await screen.findByText(told)).toBeVisible();
    expect(await screen.findByText(/More than the book says is there/)).toBeVisible();
    shop.refusal = null;
    await press('Sign off');
    const seen = () => shop.writes.map(({ body }) => (body as SignOffDto).draws?.[0]?.onHand);
    await waitFor(() => expect(seen().slice(-2)).toEqual([1, 0]));
  });
});

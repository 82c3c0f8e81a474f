import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { article } from '../testing/articles.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { ArticlePick } from '../shelf/ArticlePick.js';
import { codeOf } from './Scanner.js';
import { openScanner } from './scannerState.js';
import { ScannerButton } from './ScannerButton.js';
import { ScannerPlace } from './ScannerPlace.js';

const FILTER = article({ id: 'f', name: 'Oil filter', number: 'F-01', barcode: '4006381' });
const PLUG = article({
  id: 'p',
  name: 'Spark plug',
  makerNumbers: [{ maker: 'Quillon', number: 'QS 7', supersededBy: '' }],
});
const BARE = article({ id: 'b', name: 'Rags' });

afterEach(() => openScanner(false));

test('an article is read by its barcode, else its number, else that of its maker', () => {
  expect([FILTER, { ...FILTER, barcode: '' }, PLUG, BARE].map(codeOf)).toEqual([
    '4006381',
    'F-01',
    'QS 7',
    '',
  ]);
});

describe('the simulated scanner', () => {
  function Bench({ onSend }: { onSend: () => void }) {
    const [picked, setPicked] = useState('');
    return (
      <>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            onSend();
          }}
        >
          <input aria-label="Plain" onChange={() => undefined} />
          <ArticlePick
            label="Article"
            articles={[FILTER, PLUG, BARE]}
            value={null}
            onPick={({ name }) => setPicked(name)}
          />
        </form>
        <output>{picked}</output>
        <ScannerButton />
        <ScannerPlace />
      </>
    );
  }

  async function show() {
    wire({ '/api/articles': [FILTER, PLUG, BARE] });
    const sent: number[] = [];
    showTo('mechanic', <Bench onSend={() => sent.push(1)} />);
    await press('Scanner');
    await screen.findByRole('button', { name: 'Oil filter 4006381' });
    return sent;
  }

  it('picks an article in the field that was typed in last, and does not send its form', async () => {
    const sent = await show();
    expect(screen.queryByRole('button', { name: /Rags/ })).toBeNull();
    fireEvent.focusIn(screen.getByLabelText('Article'));
    await press('Spark plug QS 7');
    await waitFor(() => expect(screen.getByText('Spark plug', { selector: 'output' })).toBeDefined());
    // Another is held before it: the field to scan into stays the one of the page.
    await type('Hold before it', 'filter');
    await press('Oil filter 4006381');
    await waitFor(() => expect(screen.getByText('Oil filter', { selector: 'output' })).toBeDefined());
    expect(sent).toEqual([]);
  });

  it('types into any field as a device does: the code, and Enter, which sends a form that lets it', async () => {
    const sent = await show();
    fireEvent.focusIn(screen.getByLabelText('Plain'));
    await press('Oil filter 4006381');
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Plain').value).toBe('4006381'));
    await waitFor(() => expect(sent).toEqual([1]));
    expect(screen.getByText('Scanned 4006381.')).toBeDefined();
  });

  it('says so where there is no field, and is put away again', async () => {
    await show();
    await press('Oil filter 4006381');
    expect(screen.getByText(/There is no field to scan into/)).toBeDefined();
    await press('Close');
    expect(screen.queryByRole('region', { name: 'Scanner, simulated' })).toBeNull();
  });
});

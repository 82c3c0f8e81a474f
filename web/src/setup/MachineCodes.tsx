import { CODE_SIZES } from '@yugator/contracts';
import type { CodeSize } from '@yugator/contracts';
import { useState } from 'react';
import { Choose } from '../form/Choose.js';
import { PrintLinks } from '../page/PrintLinks.js';

const SIZE_WORDS: Record<CodeSize, string> = {
  small: 'Small (70 × 37 mm, or 2⅝ × 1 in)',
  large: 'Large (99 × 68 mm, or 4 × 2 in)',
};

/** Names under which no phone finds this machine. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Stickers for the machines: scanned with any phone, each opens its machine's page. */
export function MachineCodes() {
  const [size, setSize] = useState<CodeSize>('large');
  const isLoopback = LOOPBACK.includes(window.location.hostname);
  return (
    <section aria-label="Codes on machines" style={{ marginTop: 32 }}>
      <h2>Codes on machines</h2>
      <p className="soft" style={{ marginBottom: 12 }}>
        A sheet of weatherproof labels with plate, name and code. Scanned with a phone, the code opens the
        machine: hours, walk round, top up, report.
      </p>
      {isLoopback ? (
        <p style={{ marginBottom: 12 }}>
          <b>No phone finds Yugator at {window.location.host}.</b> Open it by the address that phones use,
          then print: the codes lead where this page was opened.
        </p>
      ) : (
        <p className="soft" style={{ marginBottom: 12 }}>
          They lead to {window.location.origin}.
        </p>
      )}
      <div style={{ maxWidth: 340, marginBottom: 12 }}>
        <Choose
          label="Size"
          value={size}
          choices={CODE_SIZES.map((key) => [key, SIZE_WORDS[key]] as const)}
          onChange={setSize}
        />
      </div>
      <PrintLinks word="Print the codes of all machines" path="/codes/stickers.pdf" query={`&size=${size}`} />
    </section>
  );
}

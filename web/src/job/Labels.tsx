import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { LABELS_OF_SHEET, PAPERS } from '@yugator/contracts';
import type { JobDto, PrintedLabelDto } from '@yugator/contracts';
import { getsLabel } from '@yugator/core';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PrintLinks } from '../page/PrintLinks.js';
import { useIsOneOf } from '../session/useSession.js';
import styles from './labels.module.css';
import { jobQueries } from './jobQueries.js';

/** Whether the oil or its filter was changed: those get a label. */
function hasLabels({ items, setUp }: JobDto): boolean {
  const done = new Set(items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId));
  return setUp.items.some((item) => done.has(item.id) && getsLabel(item));
}

function Printed({ labels }: { labels: readonly PrintedLabelDto[] }) {
  return (
    <>
      <p className="soft">The printer here is simulated. It would print, latest first:</p>
      <ul className={styles.roll}>
        {labels.map(({ title, lines, at }, index) => (
          <li key={`${at} ${title} ${index}`}>
            <b>{title}</b>
            {lines.map((line) => (
              <span key={line} className="fig">
                {line}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Labels for the filter and the fill cap: on a sheet of labels, or on the label printer. */
export function Labels({ job }: { job: JobDto }) {
  const say = useNotice();
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const [from, setFrom] = useState('1');
  const printed = useQuery(jobQueries.printed());
  const print = useWrite<undefined, null>(
    () => ({ method: 'POST', path: `/jobs/${job.id}/labels/print` }),
    [],
    () => {
      say('Sent to the label printer.');
      void printed.refetch();
    },
  );
  if (!hasLabels(job)) return null;
  const first = Number(from);
  const papers = PAPERS.filter(
    (paper) => Number.isInteger(first) && first >= 1 && first <= LABELS_OF_SHEET[paper],
  );
  return (
    <section aria-label="Labels" className={styles.labels}>
      <h2>Labels for the filter and the fill cap</h2>
      <div className={styles.ways}>
        {mayWork ? (
          <Button onClick={() => print.mutate(null)} loading={print.isPending}>
            Print on the label printer
          </Button>
        ) : null}
        <TextField
          fullWidth={false}
          label="First free label"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
          error={papers.length === 0}
          helperText={papers.length ? undefined : 'From 1, to 24 on A4 and to 30 on Letter.'}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 140 }}
        />
        {papers.length ? (
          <PrintLinks
            word="On a sheet of labels"
            path={`/jobs/${job.id}/labels.pdf`}
            query={`&from=${first}`}
            papers={papers}
          />
        ) : null}
      </div>
      {print.error ? <Caution title="Not printed">{<p>{sentenceOf(print.error)}</p>}</Caution> : null}
      {printed.data?.length ? <Printed labels={printed.data} /> : null}
    </section>
  );
}

import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { MachineRefDto } from '@yugator/contracts';
import { lazy, Suspense, useState } from 'react';
import { fleetQueries } from '../machine/fleetQueries.js';
import { Loading } from '../page/Loading.js';
import { Plate } from '../page/Plate.js';
import { countWords } from '../words/figures.js';
import styles from './defect.module.css';

const ReportForm = lazy(async () => ({ default: (await import('./ReportForm.js')).ReportForm }));

/** Plates that are shown at once; more are searched. */
const MOST_PLATES = 40;

/** Asks which machine something is wrong with: one press on its plate. */
export function ReportWhich() {
  const { data = [] } = useQuery(fleetQueries.list());
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<MachineRefDto | null>(null);
  const words = typed.trim().toLowerCase();
  const machines = data.filter(
    ({ status, tag, name }) => status !== 'retired' && `${tag} ${name}`.toLowerCase().includes(words),
  );
  if (data.length === 0) return null;
  const shown = machines.slice(0, MOST_PLATES);
  return (
    <section aria-label="Report a defect" className={styles.which}>
      <h2>Something is wrong? Press its plate</h2>
      {data.length > MOST_PLATES ? (
        <TextField
          label="Plate or name"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          sx={{ maxWidth: 320 }}
        />
      ) : null}
      <div className={styles.plates}>
        {shown.map((machine) => (
          <button
            key={machine.id}
            type="button"
            onClick={() => setChosen(machine)}
            title={machine.name}
            aria-label={`Report a defect: ${machine.tag} ${machine.name}`}
          >
            <Plate tag={machine.tag} />
          </button>
        ))}
      </div>
      {machines.length > shown.length ? (
        <p className="soft">
          and {countWords(machines.length - shown.length, 'more machine')}: type a plate.
        </p>
      ) : null}
      <Dialog open={chosen !== null} onClose={() => setChosen(null)}>
        <Suspense fallback={<Loading rows={3} />}>
          {chosen ? <ReportForm machine={chosen} onDone={() => setChosen(null)} /> : null}
        </Suspense>
      </Dialog>
    </section>
  );
}

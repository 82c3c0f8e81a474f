import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { PageHead } from '../page/PageHead.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { ConfirmButton } from './ConfirmButton.js';
import type { Entry } from './entry.js';
import { outbox } from './outbox.js';
import styles from './outbox.module.css';
import { PutRight } from './PutRight.js';
import { sendNow } from './sendNow.js';
import { useOutbox } from './useOutbox.js';

function EntryRow({ entry }: { entry: Entry }) {
  const { site, today } = useSession();
  const { typed, at, refused, key } = entry;
  return (
    <li className={styles.entry} data-refused={refused !== null || undefined}>
      <h2>{typed.title}</h2>
      <ul>
        {typed.lines.map((line, index) => (
          <li key={index}>{line}</li>
        ))}
      </ul>
      <p className="soft">
        Typed {momentWords(new Date(at).toISOString(), site.timeZone, today)}
        {refused ? '' : '; waits to be sent'}
      </p>
      {refused ? (
        <div role="alert">
          <b>Came back.</b> {refused.detail}
        </div>
      ) : null}
      {refused ? <PutRight entry={entry} /> : null}
      <ConfirmButton
        word="Throw away"
        again="Really throw it away"
        of={typed.title}
        onConfirm={() => void outbox.drop(key)}
      />
    </li>
  );
}

/** What was typed on this device without signal and is not with the server yet, as it was typed. */
export function OutboxPage() {
  const client = useQueryClient();
  const { person } = useSession();
  const entries = useOutbox();
  const [isTrying, setTrying] = useState(false);
  const waits = entries.some(({ refused }) => refused === null);
  const tryNow = () => {
    setTrying(true);
    void sendNow(client, person.id).finally(() => setTrying(false));
  };
  return (
    <>
      <PageHead
        name="Outbox"
        title="Waiting on this device"
        under="Typed without signal. It is sent by itself, in this order, as soon as Yugator can be reached."
      >
        {waits ? (
          <Button loading={isTrying} onClick={tryNow}>
            Try now
          </Button>
        ) : null}
      </PageHead>
      {entries.length ? (
        <ol className={styles.entries}>
          {entries.map((entry) => (
            <EntryRow key={entry.key} entry={entry} />
          ))}
        </ol>
      ) : (
        <Empty title="Nothing waits: all you typed is with Yugator.">
          <Link to="/">Back to Today</Link>
        </Empty>
      )}
    </>
  );
}

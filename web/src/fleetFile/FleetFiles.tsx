import Button from '@mui/material/Button';
import type { ImportResultDto } from '@yugator/contracts';
import { useState } from 'react';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { get } from '../api/request.js';
import { useWrite } from '../api/useWrite.js';
import { download } from '../books/download.js';
import { FileButton } from '../form/FileButton.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { countWords } from '../words/figures.js';

/** The faults of a file, each with its place: "machines/3/tag: …"; places count from 1. */
function faultWords(error: Error): string[] {
  const faults = error instanceof ApiProblem ? error.faults : [];
  if (faults.length === 0) return [sentenceOf(error)];
  return faults.map(({ pointer, detail }) => {
    const place = pointer.replace(/^#\/file\//, '').replace(/\d+/g, (digits) => String(Number(digits) + 1));
    return `${place}: ${detail}`;
  });
}

function Faults({ faults }: { faults: readonly string[] }) {
  if (faults.length === 0) return null;
  return (
    <Caution title="Nothing was taken in">
      <ul>
        {faults.slice(0, 50).map((fault) => (
          <li key={fault}>{fault}</li>
        ))}
      </ul>
      {faults.length > 50 ? <p>And {faults.length - 50} more.</p> : null}
    </Caution>
  );
}

/** Reads a fleet file: first a trial that says what would happen, then the import. */
function ReadFleet() {
  const say = useNotice();
  const [file, setFile] = useState<unknown>(null);
  const [trial, setTrial] = useState<ImportResultDto | null>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const send = useWrite<ImportResultDto, { file: unknown; isTrial: boolean }>(
    ({ file: content, isTrial }) => ({
      method: 'POST',
      path: '/fleet/import',
      body: { file: content, isTrial },
    }),
    ['machines', 'readings', 'jobs', 'books', 'seasons', 'shelf'],
  );
  const start = async (chosen: File) => {
    setTrial(null);
    setFaults([]);
    try {
      const content: unknown = JSON.parse(await chosen.text());
      setFile(content);
      send.mutate(
        { file: content, isTrial: true },
        { onSuccess: setTrial, onError: (error) => setFaults(faultWords(error)) },
      );
    } catch (error) {
      setFaults([
        `${chosen.name} is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`,
      ]);
    }
  };
  const take = () =>
    send.mutate(
      { file, isTrial: false },
      {
        onSuccess: (result) => {
          setTrial(null);
          say(`${countWords(result.machines, 'machine')} taken in.`);
        },
        onError: (error) => setFaults(faultWords(error)),
      },
    );
  return (
    <>
      <FileButton label="Fleet file" accept=".json" loading={send.isPending} onFile={start}>
        Read a fleet file
      </FileButton>
      <Faults faults={faults} />
      {trial ? (
        <div role="status">
          <p>
            This file brings {countWords(trial.machines, 'machine')} with{' '}
            {countWords(trial.readings, 'reading')}, {countWords(trial.books, 'new book')} and{' '}
            {countWords(trial.seasons, 'new season')}; for the shelf,{' '}
            {countWords(trial.articles, 'new article')} and {countWords(trial.suppliers, 'new supplier')}.
            Nothing is written yet.
          </p>
          <Button variant="contained" color="primary" onClick={take} loading={send.isPending}>
            Take it in
          </Button>
        </div>
      ) : null}
    </>
  );
}

/** The whole fleet as a file: for another Yugator, a script, or a rainy day. */
export function FleetFiles({ isLead }: { isLead: boolean }) {
  const [problem, setProblem] = useState<string | null>(null);
  const take = async () => {
    try {
      const file = await get<object>('/fleet/file', new AbortController().signal);
      setProblem(null);
      download('fleet.json', 'application/json', `${JSON.stringify(file, null, 2)}\n`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <section
      aria-label="Fleet file"
      style={{ marginTop: 32, display: 'grid', gap: 10, justifyItems: 'start' }}
    >
      <h2>Fleet file</h2>
      <p className="soft">
        Books, seasons, machines, readings, services and the shelf in one file (docs/files.md says how it is
        written).
      </p>
      {problem ? <Caution title="No file">{<p>{problem}</p>}</Caution> : null}
      <Button onClick={() => void take()}>Export the fleet</Button>
      {isLead ? <ReadFleet /> : null}
    </section>
  );
}

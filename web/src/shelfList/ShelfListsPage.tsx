import Button from '@mui/material/Button';
import { SHELF_LISTS } from '@yugator/contracts';
import type { ListResultDto, ShelfList, ShelfRowsDto } from '@yugator/contracts';
import { useState } from 'react';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { get } from '../api/request.js';
import { useWrite } from '../api/useWrite.js';
import { download } from '../books/download.js';
import { csvSheet, csvText } from '../csv/csv.js';
import { textOf } from '../csv/fileText.js';
import { FileButton } from '../form/FileButton.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf } from '../session/useSession.js';
import { ListPreview } from './ListPreview.js';
import { LIST_WORDS } from './listWords.js';
import { ShelfLabels } from './ShelfLabels.js';

interface Chosen {
  readonly name: string;
  readonly rows: string[][];
}

/** How the list stands that somebody else changed meanwhile; null for any other problem. */
function standsNow(error: Error): ListResultDto | null {
  return error instanceof ApiProblem && error.status === 409
    ? ((error.problem.current as ListResultDto | undefined) ?? null)
    : null;
}

/** Reads a list: first it says what would happen line by line, then it is taken in. */
function ReadList({ list }: { list: ShelfList }) {
  const say = useNotice();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [result, setResult] = useState<ListResultDto | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const send = useWrite<ListResultDto, { rows: string[][]; shown?: string }>(
    (body) => ({ method: 'POST', path: `/shelf-lists/${list}`, body }),
    ['shelf', 'machines'],
  );
  const refuse = (error: Error) => {
    setProblem(sentenceOf(error));
    setResult(standsNow(error));
  };
  const leave = () => {
    setChosen(null);
    setResult(null);
    setProblem(null);
  };
  const look = async (file: File) => {
    leave();
    const rows = csvSheet(textOf(new Uint8Array(await file.arrayBuffer())));
    setChosen({ name: file.name, rows });
    send.mutate({ rows }, { onSuccess: setResult, onError: refuse });
  };
  const take = () => {
    if (!chosen || !result) return;
    setProblem(null);
    send.mutate(
      { rows: chosen.rows, shown: result.shown },
      {
        onSuccess: ({ counts }) => {
          leave();
          say(`${chosen.name} is taken in: ${counts.new} new, ${counts.change} changed.`);
        },
        onError: refuse,
      },
    );
  };
  return (
    <>
      <FileButton
        label={`${LIST_WORDS[list].title} as CSV`}
        accept=".csv,.txt,text/csv"
        loading={send.isPending && !result}
        onFile={look}
      >
        Read a CSV
      </FileButton>
      {problem ? <Caution title="Nothing was taken in">{<p>{problem}</p>}</Caution> : null}
      {chosen && result ? (
        <div style={{ flexBasis: '100%' }}>
          <ListPreview
            key={result.shown}
            file={chosen.name}
            result={result}
            isPending={send.isPending}
            onTake={take}
            onLeave={leave}
          />
        </div>
      ) : null}
    </>
  );
}

function List({ list, isLead }: { list: ShelfList; isLead: boolean }) {
  const { title, holds } = LIST_WORDS[list];
  const [problem, setProblem] = useState<string | null>(null);
  const [isSaving, setSaving] = useState(false);
  const save = async () => {
    setSaving(true);
    try {
      const { rows } = await get<ShelfRowsDto>(`/shelf-lists/${list}`, new AbortController().signal);
      setProblem(null);
      download(`${list}.csv`, 'text/csv', csvText(rows));
    } catch (error) {
      setProblem(sentenceOf(error));
    } finally {
      setSaving(false);
    }
  };
  return (
    <section aria-label={title} style={{ marginBottom: 28 }}>
      <h2>{title}</h2>
      <p className="soft">{holds}</p>
      {problem ? <Caution title="No list">{<p>{problem}</p>}</Caution> : null}
      <div style={{ display: 'flex', gap: 10, flexWrap: 'wrap', marginTop: 8 }}>
        <Button onClick={() => void save()} loading={isSaving}>
          Save as CSV
        </Button>
        {isLead ? <ReadList list={list} /> : null}
      </div>
    </section>
  );
}

/** The shelf as lists for spreadsheets, out and in. */
export function ShelfListsPage() {
  const isLead = useIsOneOf('crewLead');
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  return (
    <>
      <PageHead
        name="Lists and labels"
        title="Lists and labels"
        under="Save a list, change it in a spreadsheet, and read it again. A list adds and changes; it takes nothing away. Columns may stand in any order, and those that you leave out stay as they are."
      />
      {mayWork ? (
        <>
          {SHELF_LISTS.map((list) => (
            <List key={list} list={list} isLead={isLead} />
          ))}
          <ShelfLabels />
        </>
      ) : (
        <p>Lists and labels are for mechanics and the crew lead.</p>
      )}
    </>
  );
}

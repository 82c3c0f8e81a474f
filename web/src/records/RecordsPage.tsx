import TextField from '@mui/material/TextField';
import { useDeferredValue } from 'react';
import { useSearchParams } from 'react-router';
import { PageHead } from '../page/PageHead.js';
import { RecordList } from './RecordList.js';

/** Everything done on the whole fleet. */
export function RecordsPage() {
  const [parameters, setParameters] = useSearchParams();
  const typed = parameters.get('search') ?? '';
  const search = useDeferredValue(typed.trim());
  return (
    <>
      <PageHead name="Records" title="Records" />
      <TextField
        label="Search"
        value={typed}
        onChange={(event) =>
          // At once: a letter typed meanwhile would be lost.
          setParameters(event.target.value ? { search: event.target.value } : {}, {
            replace: true,
            flushSync: true,
          })
        }
        placeholder="Tag, machine, item or note"
        type="search"
        sx={{ maxWidth: 420, mb: 2 }}
        slotProps={{ htmlInput: { maxLength: 100 } }}
      />
      <RecordList key={search} search={search} />
    </>
  );
}

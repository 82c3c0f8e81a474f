import Button from '@mui/material/Button';
import form_ from '../form/form.module.css';

interface Props {
  readonly page: number;
  readonly pages: number;
  readonly onPage: (page: number) => void;
}

/** Leads through the pages of a list whose latest entries come first; nothing where one page holds all. */
export function Pager({ page, pages, onPage }: Props) {
  if (pages <= 1) return null;
  return (
    <div className={form_.acts} style={{ marginTop: 16 }}>
      <Button disabled={page === 1} onClick={() => onPage(page - 1)}>
        Later
      </Button>
      <Button disabled={page === pages} onClick={() => onPage(page + 1)}>
        Earlier
      </Button>
    </div>
  );
}

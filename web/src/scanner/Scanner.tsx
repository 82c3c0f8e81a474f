import Button from '@mui/material/Button';
import Portal from '@mui/material/Portal';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { ArticleDto } from '@yugator/contracts';
import { useEffect, useRef, useState } from 'react';
import { found } from '../shelf/foundArticles.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import styles from './scanner.module.css';
import { typeLikeADevice } from './typeLikeADevice.js';

type Typable = HTMLInputElement | HTMLTextAreaElement;

const SHOWN = 6;

function isTypable(node: EventTarget | null): node is Typable {
  if (node instanceof HTMLTextAreaElement) return true;
  return node instanceof HTMLInputElement && ['text', 'search', 'tel', ''].includes(node.type);
}

/** What a device reads off an article; '' where nothing is printed on it. */
export function codeOf({ barcode, number, makerNumbers }: ArticleDto): string {
  return barcode || number || (makerNumbers[0]?.number ?? '');
}

/** The field that was typed in last, outside of the scanner itself. */
function useLastField(own: React.RefObject<HTMLElement | null>) {
  const last = useRef<Typable | null>(null);
  useEffect(() => {
    const note = ({ target }: FocusEvent) => {
      if (isTypable(target) && !own.current?.contains(target)) last.current = target;
    };
    if (isTypable(document.activeElement) && !own.current?.contains(document.activeElement))
      last.current = document.activeElement;
    document.addEventListener('focusin', note);
    return () => document.removeEventListener('focusin', note);
  }, [own]);
  return last;
}

/**
 * A stand-in for a barcode scanner: a small window that types an article's code, as fast as a device would and with its Enter, into the
 * field that was typed in last.
 */
export function Scanner({ onLeave }: { onLeave: () => void }) {
  const { data = [] } = useQuery(shelfQueries.list());
  const [wanted, setWanted] = useState('');
  const [said, setSaid] = useState('Click into a field, then scan.');
  const own = useRef<HTMLElement | null>(null);
  const last = useLastField(own);
  const scanned = found(data.filter(codeOf), wanted).slice(0, SHOWN);
  const scan = (article: ArticleDto) => {
    const field = last.current;
    if (!field?.isConnected) {
      setSaid('There is no field to scan into. Click into one first.');
      return;
    }
    setSaid(`Scanned ${codeOf(article)}.`);
    void typeLikeADevice(field, codeOf(article));
  };
  return (
    <Portal>
      <section ref={own} className={styles.window} aria-label="Scanner, simulated">
        <header>
          <b>Scanner, simulated</b>
          <Button size="small" variant="text" onClick={onLeave}>
            Close
          </Button>
        </header>
        <TextField
          size="small"
          label="Hold before it"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
          fullWidth
        />
        <ul>
          {scanned.map((article) => (
            <li key={article.id}>
              <Button
                size="small"
                variant="text"
                fullWidth
                // The field keeps the focus, as with a device.
                onMouseDown={(event) => event.preventDefault()}
                onClick={() => scan(article)}
              >
                {article.name} <span className="fig">{codeOf(article)}</span>
              </Button>
            </li>
          ))}
        </ul>
        <p role="status">{said}</p>
      </section>
    </Portal>
  );
}

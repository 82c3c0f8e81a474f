import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createContext, useCallback, useContext, useState } from 'react';
import type { ReactNode } from 'react';

/** What can be done about a notice as long as it stands. */
export interface NoticeAct {
  readonly word: string;
  readonly act: () => void;
}

type Say = (sentence: string, act?: NoticeAct) => void;
const NoticeContext = createContext<Say | undefined>(undefined);

const STANDS_MS = 5_000;
/** Whoever may still act needs longer. */
const STANDS_WITH_ACT_MS = 10_000;

/** Says in passing that something was done. */
export function useNotice(): Say {
  const say = useContext(NoticeContext);
  if (!say) throw new Error('useNotice needs a <NoticeProvider> above it.');
  return say;
}

interface Notice {
  readonly sentence: string;
  readonly act?: NoticeAct | undefined;
  /** counts the notices, so that each stands for its whole time */
  readonly number: number;
  readonly open: boolean;
}

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [{ sentence, act, number, open }, setNotice] = useState<Notice>({
    sentence: '',
    number: 0,
    open: false,
  });
  const say = useCallback<Say>(
    (said, offered) =>
      setNotice((now) => ({ sentence: said, act: offered, number: now.number + 1, open: true })),
    [],
  );
  const close = () => setNotice((now) => ({ ...now, open: false }));
  return (
    <NoticeContext.Provider value={say}>
      {children}
      <Snackbar
        key={number}
        open={open}
        message={sentence}
        autoHideDuration={act ? STANDS_WITH_ACT_MS : STANDS_MS}
        onClose={(_event, reason) => reason !== 'clickaway' && close()}
        action={
          act ? (
            <Button
              variant="text"
              sx={{ color: 'inherit', textDecoration: 'underline' }}
              onClick={() => {
                close();
                act.act();
              }}
            >
              {act.word}
            </Button>
          ) : null
        }
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        sx={{ mb: { xs: '72px', sm: 0 } }}
      />
    </NoticeContext.Provider>
  );
}

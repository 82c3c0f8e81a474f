import Snackbar from '@mui/material/Snackbar';
import { createContext, useCallback, useContext, useState } from 'react';
import type { ReactNode } from 'react';

type Say = (sentence: string) => void;
const NoticeContext = createContext<Say | undefined>(undefined);

/** Says in passing that something was done. */
export function useNotice(): Say {
  const say = useContext(NoticeContext);
  if (!say) throw new Error('useNotice needs a <NoticeProvider> above it.');
  return say;
}

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<{ sentence: string; open: boolean }>({ sentence: '', open: false });
  const say = useCallback((sentence: string) => setNotice({ sentence, open: true }), []);
  return (
    <NoticeContext.Provider value={say}>
      {children}
      <Snackbar
        open={notice.open}
        message={notice.sentence}
        autoHideDuration={5000}
        onClose={(_event, reason) => reason !== 'clickaway' && setNotice((now) => ({ ...now, open: false }))}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        sx={{ mb: { xs: '72px', sm: 0 } }}
      />
    </NoticeContext.Provider>
  );
}

import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import './base.css';
import { theme } from './theme.js';

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.content;

/** Styles carry the nonce of the page, so that the content security policy lets them in. */
const cache = createCache({ key: 'y', ...(nonce ? { nonce } : {}) });

/** Fonts, colours and the theme of the controls, light or dark as the device asks or the person chose. */
export function Look({ children }: { children: ReactNode }) {
  return (
    <CacheProvider value={cache}>
      <ThemeProvider theme={theme} defaultMode="system">
        {children}
      </ThemeProvider>
    </CacheProvider>
  );
}

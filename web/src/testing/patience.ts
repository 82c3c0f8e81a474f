import { configure } from '@testing-library/react';

/** What a screen should show it shows at once; on a machine that others keep busy, when its turn comes. */
export const PATIENCE_MS = 20_000;
configure({ asyncUtilTimeout: PATIENCE_MS });

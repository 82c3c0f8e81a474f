/** How bad a defect is: to be watched, mended soon, or the machine is not to be used. */
export const SEVERITIES = ['watch', 'soon', 'stop'] as const;
export type Severity = (typeof SEVERITIES)[number];

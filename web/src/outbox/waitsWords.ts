/** Said where something could not be sent and is kept on the device: "T-02: kept on this device ...". */
export function waitsWords(what: string): string {
  return `${what}: kept on this device, sent as soon as Yugator can be reached.`;
}

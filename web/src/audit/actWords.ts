import type { AuditAct } from '@yugator/contracts';

/** What happened, in words. */
export const ACT_WORDS: Record<AuditAct, string> = {
  setUp: 'Set Yugator up',
  signedIn: 'Signed in',
  signInRefused: 'Sign-in refused',
  signInSlowed: 'Sign-in slowed down',
  signedOut: 'Signed out',
  sessionEnded: 'Ended a sign-in',
  passwordChanged: 'Changed a password',
  personAdded: 'Added somebody',
  roleChanged: 'Changed a role',
  personLeft: 'Marked as left',
  personReturned: 'Marked as back',
  roleRefused: 'Asked beyond the role',
  signedOffForAnother: 'Signed off for another',
  recordVoided: 'Voided a record',
  readingVoided: 'Voided a reading',
  fleetExported: 'Exported the fleet',
  fleetImported: 'Imported a fleet',
  listTaken: 'Took a list of the shelf in',
  articlesMerged: 'Merged two articles',
  shedDeviceMade: 'Made a device one of the shed',
  shedDeviceEnded: 'Ended a device of the shed',
  codeChanged: 'Changed a code for the shed',
  codeRefused: 'Code refused at the shed',
  codeSlowed: 'Codes slowed down at the shed',
};

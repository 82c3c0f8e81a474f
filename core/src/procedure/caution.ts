/** A danger of a step, told before it. */
export interface Caution {
  readonly title: string;
  readonly text: string;
  /** the work can maim: it is acknowledged before the step */
  readonly maims: boolean;
  /** when to leave it to a licensed technician */
  readonly technician?: string;
}

/** The usual cautions. The maker's manual and local rules come first. */
export const CAUTIONS = {
  machineMoves: {
    title: 'It can roll or start',
    text: 'Brake on, key out and in your pocket, a wheel chocked on both sides.',
    maims: false,
  },
  machineRuns: {
    title: 'It may start or move when it should not',
    text: 'On open, level ground, from the seat: nobody in front, behind or beside it, a foot at the brake and a hand at the key.',
    maims: true,
  },
  bladesTurn: {
    title: 'Turning blades throw stones',
    text: 'From the seat only, the guard of the chute down, nobody near and no window in its way. Hands and feet stay away until all stands still.',
    maims: true,
  },
  raisedDeck: {
    title: 'A raised deck or machine falls',
    text: 'Set it on stands or its lock before any part of you goes under it. The hydraulics or a jack alone do not hold it.',
    maims: true,
  },
  raisedBed: {
    title: 'A raised bed falls',
    text: 'Set the mechanical lock before you reach under the bed. Never rely on the hydraulics.',
    maims: true,
  },
  blades: {
    title: 'Blades cut also at rest',
    text: 'Key out, plug wires off, gloves on, and the blade blocked with wood before you touch it.',
    maims: true,
  },
  hotOil: {
    title: 'Hot oil burns',
    text: 'Warm, not scalding: wait until you can hold a hand on the sump. Gloves and eye protection.',
    maims: false,
  },
  hotEngine: {
    title: 'Hot metal burns',
    text: 'Keep clear of muffler and cylinder head until you can touch them.',
    maims: false,
  },
  hotCoolant: {
    title: 'Hot coolant spurts',
    text: 'Open the cap only on a cold engine, with a cloth, to the first stop.',
    maims: true,
  },
  batteryOrder: {
    title: 'A battery sparks and burns',
    text: 'Negative off first and on last. No flame near it; goggles on. Wash acid off with plenty of water.',
    maims: false,
  },
  compressedAir: {
    title: 'Compressed air drives dust into eyes and skin',
    text: 'Below 30 psi at the nozzle (29 CFR 1910.242(b)), with eye protection, away from others.',
    maims: false,
  },
  fuel: {
    title: 'Fuel burns',
    text: 'No flame, no smoking, no sparks; engine cold, doors open. Catch what runs out.',
    maims: true,
  },
  dieselInjection: {
    title: 'Diesel under injection pressure goes through skin',
    text: 'Never feel for a leak with your hand. Bleed at the low-pressure side only.',
    maims: true,
    technician: 'Work on injectors, pump and high-pressure lines belongs to a licensed technician.',
  },
  hydraulicPressure: {
    title: 'Hydraulic oil under pressure goes through skin',
    text: 'Attachments down, engine off, levers moved through to let the pressure go. Look for leaks with cardboard, not with a hand.',
    maims: true,
    technician: 'Lifting gear with a fault belongs to a licensed technician.',
  },
  exhaust: {
    title: 'Exhaust kills indoors',
    text: 'Run the engine outside or with the doors wide open.',
    maims: false,
  },
  tyreBursts: {
    title: 'A tyre can burst',
    text: 'Stand beside it, not in front, and never go above the figure on the sidewall.',
    maims: true,
  },
  usedOil: {
    title: 'Used oil is waste',
    text: 'Into a closed container marked "Used Oil" (40 CFR 279.22(c)), then to a collector.',
    maims: false,
  },
  brakes: {
    title: 'Brakes stop people',
    text: 'Check and set the free play, and no more.',
    maims: false,
    technician:
      'Adjusting or repairing brakes belongs to a licensed technician where the free play cannot be set.',
  },
  valves: {
    title: 'A valve set wrongly ruins the engine',
    text: 'Only on a cold engine and by the figures of its book.',
    maims: false,
    technician: 'Leave it to a licensed technician unless you have the figures and the gauge.',
  },
} as const satisfies Record<string, Caution>;

export type CautionKey = keyof typeof CAUTIONS;

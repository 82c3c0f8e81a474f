import type { BookFieldsDto, BookItemFieldsDto, MachineClass } from '@yugator/contracts';
import type { Action, Component, MeterName, Trigger } from '@yugator/core';

/**
 * Books of invented makers, with the figures that books for such machines print (common practice). A machine's own book always
 * wins: these are data to begin with, not rules of the program.
 */

function hours(every: number): Trigger {
  return { kind: 'everyHours', hours: every, meter: 'engine', grid: null };
}

function loaderHours(every: number): Trigger {
  return { kind: 'everyHours', hours: every, meter: 'loader', grid: null };
}

function first(at: number, meter: MeterName = 'engine'): Trigger {
  return { kind: 'firstHours', hours: at, meter };
}

function months(count: number): Trigger {
  return { kind: 'everyCalendar', count, unit: 'month', inUse: null };
}

function days(count: number): Trigger {
  return { kind: 'everyCalendar', count, unit: 'day', inUse: null };
}

/** Before the mowing begins: on its first day, or so many days ahead. */
function beforeMowing(daysAhead: number): Trigger {
  return { kind: 'seasonEdge', season: 'Mowing', edge: 'first', offsetDays: -daysAhead };
}

function inStorage(every: number): Trigger {
  return { kind: 'storage', days: every };
}

type Extra = Partial<Pick<BookItemFieldsDto, 'reference' | 'note' | 'renews'>>;

function line(
  name: string,
  action: Action,
  components: Component | readonly Component[],
  minutes: number,
  triggers: Trigger[],
  extra: Extra = {},
): BookItemFieldsDto {
  return {
    name,
    action,
    components: [components].flat(),
    minutes,
    triggers,
    renews: [],
    reference: '',
    note: '',
    windowHours: null,
    windowDays: null,
    ...extra,
  };
}

function book(
  name: string,
  machineClass: MachineClass,
  items: BookItemFieldsDto[],
  meter: MeterName = 'engine',
): BookFieldsDto {
  return { name, machineClass, meter, items };
}

const BATTERY_IN_STORAGE = line('Battery: charge in storage', 'charge', 'battery', 10, [inStorage(30)], {
  note: 'Indoors, at 2 A or less. A flat battery freezes.',
});

function utilityVehicle(
  name: string,
  oilHours: number,
  filterHours: number,
  fuelLines: BookItemFieldsDto[],
): BookFieldsDto {
  return book(name, 'utilityVehicle', [
    line(
      'Engine oil and filter',
      'replace',
      ['engineOil', 'engineOilFilter'],
      30,
      [first(50), hours(oilHours), months(12)],
      {
        reference: 'Operator book, p. 40',
      },
    ),
    line('Transaxle oil', 'replace', 'transaxleOil', 30, [first(50), hours(400)], {
      reference: 'Operator book, p. 42',
    }),
    line('Front differential oil', 'replace', 'frontDifferentialOil', 20, [first(50), hours(400)], {
      reference: 'Operator book, p. 43',
    }),
    line('Grease axles and steering', 'grease', ['axles', 'steering'], 15, [hours(25)], {
      note: 'The fittings turn with the axle: roll the vehicle to reach them.',
    }),
    line('Wheel nuts: to torque', 'tighten', 'wheelNuts', 8, [hours(50)]),
    line('Tyre pressures', 'inspect', 'tyres', 5, [hours(50)]),
    ...fuelLines,
    line('Hydraulic filters, both', 'replace', 'hydraulicFilters', 35, [hours(200)], {
      note: 'Two filters of different size. Bed down and locked before reading the level.',
    }),
    line('Air filter: replace', 'replace', 'airFilter', 5, [hours(filterHours), months(12)]),
    line('Air filter: look at', 'inspect', 'airFilter', 5, [hours(25)]),
    line('Bed hinges: lubricate', 'grease', 'bedHinge', 8, [months(12)]),
    line('Brake linkage: lubricate', 'grease', 'brakeLinkage', 8, [months(12)]),
    line('Frame bolts: to torque', 'tighten', 'frameBolts', 10, [months(12)]),
    line('Coolant level', 'inspect', 'coolant', 2, [days(7)]),
    line('Radiator screen: blow out', 'clean', 'radiatorScreen', 5, [days(7)]),
  ]);
}

export const CATALOGUE: readonly BookFieldsDto[] = [
  book('Quillon riding mower, V-twin', 'ridingMower', [
    line(
      'Engine oil and filter',
      'replace',
      ['engineOil', 'engineOilFilter'],
      30,
      [first(8), hours(50), months(12)],
      {
        reference: 'Engine book, p. 31',
      },
    ),
    line(
      'Grease axle pivot, spindles and wheels',
      'grease',
      ['axles', 'casters', 'wheelHubs'],
      12,
      [first(8), hours(25)],
      {
        reference: 'Mower book, p. 22',
      },
    ),
    line('Deck: clean', 'clean', 'deck', 12, [hours(25)]),
    line('Deck spindles: grease', 'grease', 'deckSpindles', 8, [hours(25)]),
    line('Blades: sharpen and balance', 'sharpen', 'blades', 25, [hours(25)]),
    line('Air pre-filter: wash', 'clean', 'airPreFilter', 8, [hours(25)]),
    line('Air filter: look at', 'inspect', 'airFilter', 5, [hours(25)]),
    line('Air filter: replace', 'replace', 'airFilter', 5, [hours(100), months(12)], {
      note: 'The engine book says sooner in dust: halve it for the ball fields.',
    }),
    line('Fuel filter: replace', 'replace', 'fuelFilter', 10, [months(12)]),
    line('Spark plugs: replace', 'replace', 'sparkPlugs', 15, [hours(100), months(12)]),
    line('Belts: look over', 'inspect', 'belts', 6, [hours(50)]),
    line('Deck spindle brakes: look', 'inspect', 'spindleBrakes', 8, [hours(100)]),
    line('Deck idlers and pulleys: spin', 'inspect', 'deckIdlers', 9, [hours(100)]),
    line('Battery: test', 'inspect', 'battery', 4, [hours(50)]),
    line('Cooling fins: blow out', 'clean', 'coolingFins', 5, [hours(50)]),
    line('Deck: level', 'adjust', 'deck', 20, [beforeMowing(0)]),
    line('Valve clearance', 'adjust', 'valves', 60, [hours(200)], {
      note: 'Work for a licensed technician.',
    }),
    BATTERY_IN_STORAGE,
  ]),
  book('Hobbin riding mower, single cylinder', 'ridingMower', [
    line('Engine oil', 'replace', 'engineOil', 20, [first(5), hours(50), months(12)], {
      reference: 'Engine book, p. 18',
    }),
    line(
      'Oil filter',
      'replace',
      'engineOilFilter',
      5,
      [{ kind: 'everyNth', n: 2, itemId: 'Engine oil', everyTimeAboveHours: 100 }],
      {
        note: 'Every second oil change; every time where it runs more than 100 h a year.',
      },
    ),
    line('Grease spindles and wheels', 'grease', ['deckSpindles', 'wheelHubs'], 10, [hours(25)]),
    line('Deck: clean', 'clean', 'deck', 15, [hours(25)]),
    line('Blades: sharpen and balance', 'sharpen', 'blades', 20, [hours(25)]),
    line('Air filter: clean', 'clean', 'airFilter', 8, [hours(25)]),
    line('Air filter: replace', 'replace', 'airFilter', 5, [hours(100), months(12)]),
    line('Spark plug: replace', 'replace', 'sparkPlugs', 10, [hours(200), months(12)]),
    line('Deck: level', 'adjust', 'deck', 20, [beforeMowing(0)]),
    BATTERY_IN_STORAGE,
  ]),
  book('Verrick zero-turn, V-twin', 'zeroTurn', [
    line(
      'Engine oil and filter',
      'replace',
      ['engineOil', 'engineOilFilter'],
      30,
      [first(5), hours(50), months(12)],
      {
        reference: 'Engine book, p. 27',
      },
    ),
    line('Grease all points', 'grease', 'greasePoints', 12, [hours(10)]),
    line('Blades: sharpen and balance', 'sharpen', 'blades', 25, [hours(25)]),
    line('Air pre-filter: wash', 'clean', 'airPreFilter', 8, [hours(25)]),
    line('Air filter: replace', 'replace', 'airFilter', 5, [hours(100), months(12)]),
    line('Fuel filter: replace', 'replace', 'fuelFilter', 10, [months(12)]),
    line('Spark plugs: replace', 'replace', 'sparkPlugs', 15, [hours(100), months(12)]),
    line('Hydro oil and filters', 'replace', ['hydroOil', 'hydroFilters'], 50, [first(75), hours(400)], {
      reference: 'Mower book, p. 36',
    }),
    line('Tyre pressures, rear pair', 'inspect', 'rearTyres', 5, [days(7)], {
      note: 'Both alike, or the cut is not level.',
    }),
    line('Battery and terminals', 'clean', 'batteryTerminals', 10, [beforeMowing(14)]),
    BATTERY_IN_STORAGE,
  ]),
  book('Dunmallet compact tractor, diesel', 'compactTractor', [
    line(
      'Engine oil and filter',
      'replace',
      ['engineOil', 'engineOilFilter'],
      45,
      [first(50), hours(200), months(12)],
      {
        reference: 'Tractor book, p. 51',
      },
    ),
    line('Transmission filter', 'replace', 'transmissionFilter', 20, [first(50)]),
    line('Grease all points', 'grease', 'greasePoints', 12, [hours(50)]),
    line('Wheel bolts: to torque', 'tighten', 'wheelNuts', 10, [hours(50)]),
    line('Safety-start switches: try', 'inspect', 'safetyStart', 5, [hours(50)]),
    line('Air element: clean', 'clean', 'airFilter', 10, [hours(100)], {
      note: 'The book also says "replace every 1,000 h or yearly cleaning, whichever first": the shop replaces yearly.',
    }),
    line('Fuel filter: clean, bleed', 'clean', 'fuelFilter', 15, [hours(100)]),
    line('Fan belt: deflection', 'inspect', 'fanBelt', 6, [hours(100)]),
    line('Brake pedals: free play', 'inspect', 'brakePedals', 8, [hours(100)]),
    line('Battery: test', 'inspect', 'battery', 4, [hours(100)]),
    line(
      'Transmission oil, strainer and filter',
      'replace',
      ['transmissionOil', 'transmissionStrainer', 'transmissionFilter'],
      75,
      [hours(400)],
      {
        renews: ['Transmission filter'],
        reference: 'Tractor book, p. 58',
      },
    ),
    line('Front axle oil', 'replace', 'frontAxleOil', 30, [hours(400)]),
    line('Primary air element: replace', 'replace', 'airFilter', 5, [hours(1000), months(12)]),
    line('Radiator hoses and clamps: look over', 'inspect', 'radiatorHoses', 15, [months(12)]),
    line('Air cleaner dust valve: squeeze out', 'clean', 'dustValve', 2, [days(7)]),
    line('Coolant: change', 'replace', 'coolant', 40, [months(24)]),
    line('Radiator hoses: replace', 'replace', 'radiatorHoses', 60, [months(48)]),
  ]),
  book(
    'Dunmallet front loader',
    'compactTractor',
    [
      line('Loader: grease', 'grease', 'loaderPins', 12, [loaderHours(10)], {
        reference: 'Loader book, p. 9',
      }),
      line('Loader bolts: to torque', 'tighten', 'loaderBolts', 20, [first(5, 'loader'), loaderHours(50)], {
        note: 'Front and rear differ; count how many were loose.',
      }),
      line('Loader hoses and cylinders: look over', 'inspect', 'loaderHydraulics', 10, [loaderHours(50)]),
    ],
    'loader',
  ),
  utilityVehicle('Hobbin utility vehicle, gasoline', 100, 100, [
    line('Spark plug: look at, set gap', 'inspect', 'sparkPlugs', 10, [hours(100)]),
  ]),
  utilityVehicle('Hobbin utility vehicle, diesel', 150, 200, [
    line('Fuel filter: replace, bleed', 'replace', 'fuelFilter', 20, [hours(200), months(12)]),
  ]),
];

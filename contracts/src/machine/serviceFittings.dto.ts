import {
  AIR_CLEANERS,
  BATTERIES,
  DECK_WASHES,
  FUEL_BLEEDS,
  FUEL_FILTERS,
  OIL_DRAINS,
  OIL_FILTERS,
} from '@yugator/core';
import type {
  AirCleaner,
  BatteryKind,
  DeckWash,
  FuelBleed,
  FuelFilter,
  OilDrain,
  OilFilter,
  ServiceFittings,
} from '@yugator/core';
import { IsIn, ValidateIf } from 'class-validator';

/** Null is no choice: what nobody said is left out. */
const isThere = (_dto: unknown, value: unknown) => value !== undefined;

/** How the engine is fitted, as far as it changes the work. */
export class ServiceFittingsDto implements Partial<ServiceFittings> {
  @IsIn(OIL_DRAINS, { message: 'Choose how the oil comes out.' })
  oilDrain!: OilDrain;

  @IsIn(OIL_FILTERS, { message: 'Choose how the oil filter is fitted.' })
  oilFilter!: OilFilter;

  @IsIn(FUEL_FILTERS, { message: 'Choose the kind of fuel filter.' })
  fuelFilter!: FuelFilter;

  /** left out by older versions, as what follows */
  @ValidateIf(isThere)
  @IsIn(FUEL_BLEEDS, { message: 'Choose how the fuel is bled.' })
  fuelBleed?: FuelBleed;

  @ValidateIf(isThere)
  @IsIn(AIR_CLEANERS, { message: 'Choose the kind of air cleaner.' })
  airCleaner?: AirCleaner;

  @ValidateIf(isThere)
  @IsIn(BATTERIES, { message: 'Choose the kind of battery.' })
  battery?: BatteryKind;

  @ValidateIf(isThere)
  @IsIn(DECK_WASHES, { message: 'Choose whether the deck has a wash port.' })
  deckWash?: DeckWash;
}

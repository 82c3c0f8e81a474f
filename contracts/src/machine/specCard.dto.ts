import { CARD_ACCESS, GREASE_REACHES, HOUSE_WAYS, ruleOfWay } from '@yugator/core';
import type { CardAccess, Component, GreaseReach, HouseWay } from '@yugator/core';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsText, Part, Parts, Unique } from '../rules/index.js';
import { FluidSpecDto } from './fluidSpec.dto.js';
import { ServiceFittingsDto } from './serviceFittings.dto.js';
import { Amount, Name, Note, Of, OwnName } from './specRules.js';

const ROWS = 'Keep 60 lines at most in each part of the card.';

export class TorqueSpecDto {
  @Of()
  component?: Component | null;

  @OwnName()
  fastener!: string;

  /** N·m */
  @Amount('Give the torque, such as 20 N·m or 15 lbf·ft.', 5000)
  low!: number;

  @Amount('Give the torque, such as 20 N·m or 15 lbf·ft.', 5000)
  high!: number;
}

export class PlugSpecDto {
  @Name('plug')
  type!: string;

  /** mm */
  @Amount('Give the gap, such as 0.76 mm or 0.030 in.', 5)
  gap!: number;
}

export class TyreSpecDto {
  @IsIn(['front', 'rear'], { message: 'Choose the front or the rear axle.' })
  axle!: 'front' | 'rear';

  /** kPa */
  @Amount('Give the pressure, such as 97 kPa or 14 psi.', 1000)
  low!: number;

  @Amount('Give the pressure, such as 97 kPa or 14 psi.', 1000)
  high!: number;

  /** kPa, as the sidewall says */
  @Amount('Give the sidewall maximum, such as 138 kPa or 20 psi.', 1000)
  sidewallMaximum!: number;
}

/** A length that is measured: the deflection of a belt, the free play of a pedal. */
export class PlaySpecDto {
  @Of()
  component?: Component | null;

  @OwnName()
  name!: string;

  /** mm */
  @Amount('Give the range in mm or inches, such as 7-9 mm.', 500)
  low!: number;

  @Amount('Give the range in mm or inches, such as 7-9 mm.', 500)
  high!: number;

  /** mm, most between left and right of a pair; null where it is no pair or the book does not say */
  @IsOptional()
  @Amount('Give the most between left and right, such as 3 mm.', 500)
  equalWithin?: number | null;
}

/** How a cutting deck is to hang. */
export class DeckSpecDto {
  @Name('deck')
  name!: string;

  /** mm, most between left and right */
  @Amount('Give the most between left and right, such as 3 mm or 1/8 in.', 100)
  sidewaysWithin!: number;

  /** mm that the front stands lower than the rear, least and most */
  @Amount('Give how much lower the front is, such as 3-9 mm.', 100)
  low!: number;

  @Amount('Give how much lower the front is, such as 3-9 mm.', 100)
  high!: number;

  /** mm, most between the two tips of a blade; null where the book does not say */
  @IsOptional()
  @Amount('Give the most between the tips of a blade, such as 3 mm.', 100)
  tipsWithin!: number | null;
}

/** What the alternator gives. */
export class ChargingSpecDto {
  /** V at working speed */
  @Amount('Give the charging voltage, such as 13.8-14.7 V.', 100)
  low!: number;

  @Amount('Give the charging voltage, such as 13.8-14.7 V.', 100)
  high!: number;

  /** V, least at idle; null where the book does not say */
  @IsOptional()
  @Amount('Give the least voltage at idle, such as 13.2 V.', 100)
  idleLow!: number | null;
}

export class GreaseFittingDto {
  @Of()
  component?: Component | null;

  @OwnName()
  name!: string;

  @Note()
  where!: string;

  /** how it is come at; null where nobody said */
  @IsOptional()
  @IsIn(GREASE_REACHES, { message: 'Choose how the fitting is come at.' })
  reach?: GreaseReach | null;

  @Max(200, { message: 'Give 200 strokes at most.' })
  @Min(1, { message: 'Give at least one stroke.' })
  @IsInt({ message: 'Give the usual strokes as a whole number, such as 3.' })
  strokes!: number;
}

/** A size or a note under a name: a filter, a tool, how to get there. */
export class NamedNoteDto {
  @Of()
  component?: Component | null;

  @OwnName()
  name!: string;

  @Note()
  note!: string;
}

/** Something that is opened or set on this machine to reach a component. Lines of one name are one thing. */
export class AccessDto {
  /** what it opens the way to */
  @Of()
  component?: Component | null;

  /** one of those that any machine may have; null for one of its own, by its name */
  @IsOptional()
  @IsIn(CARD_ACCESS, { message: 'Choose what is opened from the list, or name it.' })
  opens!: CardAccess | null;

  @OwnName()
  name!: string;

  /** tools, sizes and how */
  @Note()
  note!: string;

  /** minutes of hands; null where nobody said */
  @IsOptional()
  @Amount('Give the minutes it takes to open, from 0 to 240.', 240)
  openMinutes!: number | null;

  @IsOptional()
  @Amount('Give the minutes it takes to close, from 0 to 240.', 240)
  closeMinutes!: number | null;
}

/** A house rule that is another on this machine, and why. */
export class OwnWayDto {
  @IsIn([...HOUSE_WAYS.keys()], { message: 'Choose the house rule and its way from the list.' })
  way!: HouseWay;

  @IsText({ least: 3, most: 200, message: 'Say in 3 to 200 letters why this machine differs.' })
  why!: string;
}

/** What a machine holds and is set to, in SI units. */
export class SpecCardDto {
  @Parts(() => FluidSpecDto, 60, ROWS)
  fluids!: FluidSpecDto[];

  @Parts(() => TorqueSpecDto, 60, ROWS)
  torques!: TorqueSpecDto[];

  @Parts(() => PlugSpecDto, 60, ROWS)
  plugs!: PlugSpecDto[];

  @Parts(() => TyreSpecDto, 60, ROWS)
  tyres!: TyreSpecDto[];

  @Parts(() => PlaySpecDto, 60, ROWS)
  plays!: PlaySpecDto[];

  @Parts(() => DeckSpecDto, 1, 'Keep one deck on the card.')
  decks: DeckSpecDto[] = [];

  @Parts(() => ChargingSpecDto, 1, 'Keep one line of charging voltage.')
  charging: ChargingSpecDto[] = [];

  @Parts(() => GreaseFittingDto, 60, ROWS)
  fittings!: GreaseFittingDto[];

  @Parts(() => NamedNoteDto, 60, ROWS)
  filters!: NamedNoteDto[];

  @Parts(() => AccessDto, 60, ROWS)
  access: AccessDto[] = [];

  @Parts(() => NamedNoteDto, 60, ROWS)
  tools!: NamedNoteDto[];

  @Parts(() => OwnWayDto, 20, 'Keep 20 house rules of its own at most.')
  @Unique(({ way }: OwnWayDto) => ruleOfWay(way), 'This house rule stands above already.')
  ways: OwnWayDto[] = [];

  /** left out, those usual for its class */
  @IsOptional()
  @Part(() => ServiceFittingsDto, 'Say how the engine is fitted, or leave it out.')
  service?: ServiceFittingsDto;
}

/** A card on which nothing stands yet. */
export function emptySpecCard(): SpecCardDto {
  return {
    fluids: [],
    torques: [],
    plugs: [],
    tyres: [],
    plays: [],
    decks: [],
    charging: [],
    fittings: [],
    filters: [],
    access: [],
    tools: [],
    ways: [],
  };
}

export class UpdateSpecDto {
  @Part(() => SpecCardDto, 'Send the spec card.')
  spec!: SpecCardDto;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

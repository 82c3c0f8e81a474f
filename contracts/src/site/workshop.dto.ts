import { HOUSE_FIGURES, isHouseRules, shownRange } from '@yugator/core';
import type { HouseFigure, HouseFigureKey, HouseFigures, HouseRules } from '@yugator/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsInt,
  IsNumber,
  IsOptional,
  Max,
  Min,
  registerDecorator,
} from 'class-validator';
import { applyDecorators, Part, Parts } from '../rules/index.js';

function IsHouseRules(): PropertyDecorator {
  return (target, propertyName) => {
    registerDecorator({
      name: 'isHouseRules',
      target: target.constructor,
      propertyName: String(propertyName),
      options: { message: 'Choose one of the ways that are offered for each rule.' },
      validator: { validate: isHouseRules },
    });
  };
}

function figureFault({ label, dimension, least, most }: HouseFigure): string {
  return `${label}: give a figure within ${shownRange({ low: least, high: most }, dimension, 'metric')}.`;
}

/** A figure of the crew within what is allowed. */
function Figure(key: HouseFigureKey): PropertyDecorator {
  const figure = HOUSE_FIGURES.find((each) => each.key === key) ?? HOUSE_FIGURES[0];
  const message = figureFault(figure);
  return applyDecorators(
    Max(figure.most, { message }),
    Min(figure.least, { message }),
    IsNumber({ maxDecimalPlaces: figure.decimals }, { message }),
  );
}

/** Figures that crews hold differently. */
export class HouseFiguresDto implements HouseFigures {
  /** ° that a spin-on filter is snugged by */
  @Figure('snugDegrees')
  snugDegrees!: number;

  /** part of the way from the low to the full mark that stays free */
  @Figure('shadeShare')
  shadeShare!: number;

  /** V from which a battery at rest is good */
  @Figure('restGoodVolts')
  restGoodVolts!: number;
}

function Celsius(): PropertyDecorator {
  const message = 'Give the temperature in °C, from -60 to 60.';
  return applyDecorators(
    IsNumber({ maxDecimalPlaces: 1 }, { message }),
    Min(-60, { message }),
    Max(60, { message }),
  );
}

/** The coldest and warmest of a month. */
export class MonthTemperaturesDto {
  @Celsius()
  low!: number;

  @Celsius()
  high!: number;
}

function Container(): PropertyDecorator {
  const message = 'Give what the container holds in litres, 0 where none is kept.';
  return applyDecorators(
    Min(0, { message }),
    Max(5000, { message: 'Keep the container within 5,000 L.' }),
    IsNumber({ maxDecimalPlaces: 2 }, { message }),
  );
}

/** What the containers of other waste than oil hold, in litres; 0 where none is kept. */
export class WasteLitresDto {
  @Container()
  coolant!: number;

  @Container()
  brakeFluid!: number;

  @Container()
  fuel!: number;
}

/** How the shop works, and what it drains into. */
export class WorkshopFieldsDto {
  @IsHouseRules()
  rules!: HouseRules;

  @Part(() => HouseFiguresDto, "Give the crew's own figures.")
  figures!: HouseFiguresDto;

  @Min(0.5, { message: 'Give what the drain pan holds, from 0.5 L.' })
  @Max(200, { message: 'Keep the drain pan within 200 L.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give what the drain pan holds in litres, such as 8.' })
  panLitres!: number;

  @Min(0.5, { message: 'Give what the extractor holds, from 0.5 L.' })
  @Max(200, { message: 'Keep the extractor within 200 L.' })
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Give what the extractor holds in litres, such as 6.' })
  extractorLitres!: number;

  @Min(1, { message: 'Give what the used-oil container holds, from 1 L.' })
  @Max(5000, { message: 'Keep the used-oil container within 5,000 L.' })
  @IsNumber(
    { maxDecimalPlaces: 2 },
    { message: 'Give what the used-oil container holds in litres, such as 60.' },
  )
  usedOilLitres!: number;

  /** what the containers of other waste hold, in litres; left out, as it was */
  @IsOptional()
  @Part(() => WasteLitresDto, 'Say what the other containers hold.')
  wasteLitres?: WasteLitresDto;

  /** month by month, January first; left out, as it was */
  @IsOptional()
  @ArrayMinSize(12, { message: 'Give all twelve months.' })
  @ArrayMaxSize(12, { message: 'Give all twelve months.' })
  @Parts(() => MonthTemperaturesDto, 12, 'Give all twelve months.')
  climate?: MonthTemperaturesDto[];
}

export class UpdateWorkshopDto extends WorkshopFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class WorkshopDto extends WorkshopFieldsDto {
  version!: number;
}

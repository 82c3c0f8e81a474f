import type { HouseRules } from '@yugator/core';
import { isHouseRules } from '@yugator/core';
import { IsInt, IsNumber, Max, Min, registerDecorator } from 'class-validator';

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

/** How the shop works, and what it drains into. */
export class WorkshopFieldsDto {
  @IsHouseRules()
  rules!: HouseRules;

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
}

export class UpdateWorkshopDto extends WorkshopFieldsDto {
  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}

export class WorkshopDto extends WorkshopFieldsDto {
  version!: number;
}

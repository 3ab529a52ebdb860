import { IsDefined, IsNumber, IsString, IsUUID, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { nested } from './nested.js';
import { told, type Told } from './say/ruleWords.js';

/** How large a picture may come in. */
export const PICTURE_LIMIT_MB = 12;

/** What comes beside the picture itself. */
export class PictureRequest {
  /** made by the sender, so that sending it twice keeps it once */
  @IsUUID(undefined, told('picture-id-missing'))
  id: string;

  @Matches(/^[A-Za-z0-9]{1,10}$/, told('picture-piece-form'))
  piece: string;

  @IsInstant(told('picture-at-time'))
  at: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('picture-by-missing'))
  @IsString(told('picture-by-missing'))
  by: string;
}

const SHARE = told('mark-outside');

/** A place on a picture, in shares of its width and height. */
export class MarkRequest {
  @Min(0, SHARE)
  @Max(1, SHARE)
  @IsNumber({}, SHARE)
  x: number;

  @Min(0, SHARE)
  @Max(1, SHARE)
  @IsNumber({}, SHARE)
  y: number;
}

/** Where the meat lies: an ellipse, its middle and half its width and height. */
export class MeatMarkRequest extends MarkRequest {
  @Min(0.02, told('meat-mark-rx-least'))
  @Max(1, told('meat-mark-rx-most'))
  @IsNumber({}, told('meat-mark-rx-missing'))
  rx: number;

  @Min(0.02, told('meat-mark-rx-least'))
  @Max(1, told('meat-mark-rx-most'))
  @IsNumber({}, told('meat-mark-ry-missing'))
  ry: number;
}

const marked =
  <T extends object>(type: new () => T, missing: Told): PropertyDecorator =>
  (target, property) => {
    nested(type, missing)(target, property);
    IsDefined(missing)(target, property);
  };

/** The marks between which a picture is read. */
export class PictureReadingRequest {
  @IsUUID(undefined, told('picture-reading-id-missing'))
  id: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('picture-reading-by-missing'))
  @IsString(told('picture-reading-by-missing'))
  by: string;

  @marked(MeatMarkRequest, told('picture-reading-meat-mark'))
  meat: MeatMarkRequest;

  @marked(MarkRequest, told('picture-reading-pink-mark'))
  pink: MarkRequest;

  @marked(MarkRequest, told('picture-reading-grey-mark'))
  grey: MarkRequest;
}

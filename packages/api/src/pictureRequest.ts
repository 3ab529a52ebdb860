import { IsDefined, IsNumber, IsString, IsUUID, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { nested } from './nested.js';

/** How large a picture may come in. */
export const PICTURE_LIMIT_MB = 12;

/** What comes beside the picture itself. */
export class PictureRequest {
  /** made by the sender, so that sending it twice keeps it once */
  @IsUUID(undefined, { message: 'The picture needs an id.' })
  id: string;

  @Matches(/^[A-Za-z0-9]{1,10}$/, { message: 'Of which piece is it?' })
  piece: string;

  @IsInstant('When was it taken?')
  at: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who took it? A name is missing.' })
  @IsString({ message: 'Who took it? A name is missing.' })
  by: string;
}

const SHARE = { message: 'A mark lies inside the picture.' };

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
  @Min(0.02, { message: 'The meat is larger than that.' })
  @Max(1, { message: 'The meat lies inside the picture.' })
  @IsNumber({}, { message: 'How wide is the meat?' })
  rx: number;

  @Min(0.02, { message: 'The meat is larger than that.' })
  @Max(1, { message: 'The meat lies inside the picture.' })
  @IsNumber({}, { message: 'How high is the meat?' })
  ry: number;
}

const marked =
  <T extends object>(type: new () => T, message: string): PropertyDecorator =>
  (target, property) => {
    nested(type, message)(target, property);
    IsDefined({ message })(target, property);
  };

/** The marks between which a picture is read. */
export class PictureReadingRequest {
  @IsUUID(undefined, { message: 'The reading needs an id.' })
  id: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who reads it? A name is missing.' })
  @IsString({ message: 'Who reads it? A name is missing.' })
  by: string;

  @marked(MeatMarkRequest, 'Where is the meat?')
  meat: MeatMarkRequest;

  @marked(MarkRequest, 'Mark a place that is surely pink.')
  pink: MarkRequest;

  @marked(MarkRequest, 'Mark a place that is surely grey.')
  grey: MarkRequest;
}

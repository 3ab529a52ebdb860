import { IsBoolean, IsIn, IsOptional, IsString, IsUUID, Matches, MaxLength, MinLength, ValidateIf } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { ROLES, type Role } from './roles.js';

const NAME = /^[\p{L}\p{M}][\p{L}\p{M}\p{N} .'’-]{0,39}$/u;
const PIN = /^\d{4,8}$/;
/** Long enough that nobody guesses it; short enough that hashing it costs no minutes. */
export const PASSWORD_LEAST = 10;
const PASSWORD_MOST = 200;

const name =
  (message: string): PropertyDecorator =>
  (target, property) => {
    Matches(NAME, { message: 'A name begins with a letter, and has 40 letters at most.' })(target, property);
    IsString({ message })(target, property);
  };

const pin: PropertyDecorator = (target, property) => {
  Matches(PIN, { message: 'A PIN has 4 to 8 digits.' })(target, property);
};

const newPassword: PropertyDecorator = (target, property) => {
  MaxLength(PASSWORD_MOST, { message: `At most ${PASSWORD_MOST} letters.` })(target, property);
  MinLength(PASSWORD_LEAST, { message: `A password has ${PASSWORD_LEAST} letters or more: three or four words, say.` })(target, property);
  IsString({ message: 'A password is missing.' })(target, property);
};

const saidPassword: PropertyDecorator = (target, property) => {
  MaxLength(PASSWORD_MOST, { message: `At most ${PASSWORD_MOST} letters.` })(target, property);
  IsString({ message: 'A password is missing.' })(target, property);
};

/** The first start: the house gets its name and its head cook. */
export class FirstRequest {
  @MaxLength(60, { message: 'A shorter name, please: 60 letters at most.' })
  @MinLength(1, { message: 'The house needs a name.' })
  @IsString({ message: 'The house needs a name.' })
  house: string;

  @name('Who is the head cook?')
  name: string;

  @newPassword
  password: string;

  @IsOptional()
  @pin
  pin?: string;
}

/** A person signs in: on a shared tablet by PIN, elsewhere by password. */
export class SignInRequest {
  @MaxLength(40, { message: 'That is no name of somebody here.' })
  @IsString({ message: 'Who is it?' })
  name: string;

  @ValidateIf((request: SignInRequest) => request.password === undefined)
  @pin
  pin?: string;

  @IsOptional()
  @saidPassword
  password?: string;
}

/** A person of the crew, new or changed. Secrets that are not given stay as they are. */
export class PersonRequest {
  @IsUUID(undefined, { message: 'The person needs an id.' })
  id: string;

  @name('The person needs a name.')
  name: string;

  @IsIn(ROLES, { message: 'Head cook, cook, helper or reader?' })
  role: Role;

  /** from when on the house is closed to them; a reader’s is never left out */
  @IsOptional()
  @IsInstant('Until when? A date is missing.')
  endsAt?: string;

  @IsOptional()
  @pin
  pin?: string;

  @IsOptional()
  @newPassword
  password?: string;

  /** gone: may not sign in any more; what they logged stays theirs */
  @IsBoolean({ message: 'Put away: yes or no.' })
  putAway: boolean;
}

/** One’s own PIN or password, changed by whoever knows the password or PIN of now. */
export class OwnSecretRequest {
  @saidPassword
  current: string;

  @IsOptional()
  @pin
  pin?: string;

  @IsOptional()
  @newPassword
  password?: string;
}

/** This device is put up for the crew: people sign in on it by name and PIN. */
export class TabletRequest {
  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Where does it stand? A name is missing.' })
  @IsString({ message: 'Where does it stand? A name is missing.' })
  name: string;
}

import { IsBoolean, IsIn, IsOptional, IsString, IsUUID, Matches, MaxLength, MinLength, ValidateIf } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { nested } from './nested.js';
import { ROLES, type Role } from './roles.js';
import { told, type Told } from './say/ruleWords.js';
import { SettingsShape } from './settingsRequest.js';

const NAME = /^[\p{L}\p{M}][\p{L}\p{M}\p{N} .'’-]{0,39}$/u;
const PIN = /^\d{4,8}$/;
/** Long enough that nobody guesses it; short enough that hashing it costs no minutes. */
export const PASSWORD_LEAST = 10;
const PASSWORD_MOST = 200;

const name =
  (missing: Told): PropertyDecorator =>
  (target, property) => {
    Matches(NAME, told('name-form'))(target, property);
    IsString(missing)(target, property);
  };

const pin: PropertyDecorator = (target, property) => {
  Matches(PIN, told('pin-form'))(target, property);
};

const newPassword: PropertyDecorator = (target, property) => {
  MaxLength(PASSWORD_MOST, told('letters-longest', { most: PASSWORD_MOST }))(target, property);
  MinLength(PASSWORD_LEAST, told('password-too-short', { least: PASSWORD_LEAST }))(target, property);
  IsString(told('password-missing'))(target, property);
};

const saidPassword: PropertyDecorator = (target, property) => {
  MaxLength(PASSWORD_MOST, told('letters-longest', { most: PASSWORD_MOST }))(target, property);
  IsString(told('password-missing'))(target, property);
};

/** The first start: the house gets its name, its head cook, and how it counts. */
export class FirstRequest {
  @MaxLength(60, told('name-longest', { most: 60 }))
  @MinLength(1, told('house-name-missing'))
  @IsString(told('house-name-missing'))
  house: string;

  @name(told('first-name-missing'))
  name: string;

  @newPassword
  password: string;

  @IsOptional()
  @pin
  pin?: string;

  /** as usual where they are not said */
  @IsOptional()
  @nested(SettingsShape, told('first-settings-shape'))
  settings?: SettingsShape;

  /** that of the machine where it is not said */
  @IsOptional()
  @MaxLength(60, told('house-plan-time-zone-longest'))
  @IsString(told('house-plan-time-zone-missing'))
  timeZone?: string;
}

/** A person signs in: on a shared tablet by PIN, elsewhere by password. */
export class SignInRequest {
  @MaxLength(40, told('sign-in-name-longest'))
  @IsString(told('sign-in-name-missing'))
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
  @IsUUID(undefined, told('person-id-missing'))
  id: string;

  @name(told('person-name-missing'))
  name: string;

  @IsIn(ROLES, told('person-role-choice'))
  role: Role;

  /** from when on the house is closed to them; a reader’s is never left out */
  @IsOptional()
  @IsInstant(told('person-ends-at-time'))
  endsAt?: string;

  @IsOptional()
  @pin
  pin?: string;

  @IsOptional()
  @newPassword
  password?: string;

  /** gone: may not sign in any more; what they logged stays theirs */
  @IsBoolean(told('person-put-away-yes-or-no'))
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
  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('tablet-name-missing'))
  @IsString(told('tablet-name-missing'))
  name: string;
}

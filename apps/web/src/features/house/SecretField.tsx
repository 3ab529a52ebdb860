import { FormWords } from '../../kit/form/fields';

const WORDS = {
  pin: { label: 'PIN', note: 'For the crew’s tablets: 4 to 8 digits.', more: 'Empty: the PIN of now stays.' },
  password: { label: 'Password', note: 'For any device: ten letters or more.', more: 'Empty: the password of now stays.' },
} as const;

interface Secrets {
  pin?: string;
  password?: string;
}

/** A new PIN or password. The one of now is never shown, and stays where the field is left empty. */
export function SecretField({ kind, has }: { kind: keyof Secrets; has: boolean }) {
  const { label, note, more } = WORDS[kind];
  return (
    <FormWords<Secrets>
      name={kind}
      mayBe
      label={has ? `New ${label}` : label}
      type="password"
      autoComplete="new-password"
      {...(kind === 'pin' ? { inputMode: 'numeric' as const, without: /\D/g, maxLength: 8 } : { maxLength: 200 })}
      hint={has ? more : note}
    />
  );
}

const WORDS = {
  pin: { label: 'PIN', note: 'For the crew’s tablets: 4 to 8 digits.', more: 'Empty: the PIN of now stays.' },
  password: { label: 'Password', note: 'For any device: ten letters or more.', more: 'Empty: the password of now stays.' },
} as const;

/** A new PIN or password. The one of now is never shown, and stays where the field is left empty. */
export function SecretField({
  kind,
  value,
  onChange,
  fault,
  has,
}: {
  kind: keyof typeof WORDS;
  value: string;
  onChange: (value: string) => void;
  fault: string | undefined;
  has: boolean;
}) {
  const { label, note, more } = WORDS[kind];
  return (
    <label className={`field${fault === undefined ? '' : ' wrong'}`}>
      <span className="label">{has ? `New ${label}` : label}</span>
      <input
        className="box"
        type="password"
        autoComplete="new-password"
        inputMode={kind === 'pin' ? 'numeric' : undefined}
        maxLength={kind === 'pin' ? 8 : 200}
        value={value}
        onChange={(event) => onChange(kind === 'pin' ? event.target.value.replace(/\D/g, '') : event.target.value)}
      />
      {fault === undefined ? <span className="note">{has ? more : note}</span> : <span className="fault">{fault}</span>}
    </label>
  );
}

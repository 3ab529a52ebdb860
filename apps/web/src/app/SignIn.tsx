import Typography from '@mui/material/Typography';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { SignInRequest, type SessionResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormWords } from '../kit/form/fields';
import { SavingForm } from '../kit/form/SavingForm';
import { useRequestForm } from '../kit/form/useRequestForm';
import { signIn } from '../data/session';
import { PinPad } from './PinPad';
import { PlainHttp } from '../kit/PlainHttp';
import Box from '@mui/material/Box';
import { fold } from '../theme/folds';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  signIn: { display: 'grid', gap: '16px', alignContent: 'start', justifyItems: 'start' },
  byPin: { display: 'grid', gap: '8px 40px', width: '100%', justifyItems: 'start' },
  /** the hooks by the door, across the whole of it */
  hooks: {
    background: t.enamel.main,
    margin: '0 -28px',
    padding: '0 28px 22px',
    width: 'calc(100% + 56px)',
    minHeight: '128px',
    display: 'flex',
    flexWrap: 'wrap',
    gap: '0 14px',
    [fold.middle]: { margin: '0 -16px', padding: '0 16px 18px', width: 'calc(100% + 32px)' },
  },
  names: { display: 'flex', flexWrap: 'wrap', gap: '0 10px' },
  tag: {
    position: 'relative',
    justifyContent: 'flex-start',
    alignItems: 'flex-start',
    minWidth: '132px',
    minHeight: '76px',
    marginTop: '14px',
    padding: '22px 14px 10px',
    background: t.tag.main,
    color: t.tag.ink,
    border: 0,
    clipPath: 'polygon(10px 0, calc(100% - 10px) 0, 100% 10px, 100% 100%, 0 100%, 0 10px)',
    font: signed(24, 28, 600),
    textAlign: 'left',
    '&::before': {
      content: '""',
      position: 'absolute',
      left: '50%',
      top: '7px',
      width: '9px',
      height: '9px',
      marginLeft: '-5px',
      borderRadius: '50%',
      background: t.enamel.main,
    },
    '&[aria-pressed="true"]': { marginTop: '30px', boxShadow: `inset 0 -8px 0 ${t.tag.ink}` },
  },
  name: {
    justifyContent: 'flex-start',
    minHeight: '56px',
    marginTop: '14px',
    padding: '6px 16px',
    background: t.sunk,
    color: t.ink,
    font: signed(20, 28, 600),
    borderRadius: '3px',
    boxShadow: `inset 0 0 0 1.5px ${t.line}`,
    '&[aria-pressed="true"]': { boxShadow: 'none', background: t.ink, color: t.panel },
  },
  lead: { margin: '28px 0', fontSize: '22px' },
  pinOf: { marginTop: '16px', display: 'grid', gap: '12px', width: 'min(420px, 100%)' },
  pinOver: { width: '100%' },
  byPassword: { marginTop: '24px', display: 'grid', gap: '16px', width: 'min(460px, 100%)' },
} as const;

interface SignInProps {
  session: SessionResponse;
  onIn?: ((name: string) => void) | undefined;
  /** over what is on the screen, not at the door */
  isOver?: boolean;
}

/** Who is it? A name and its PIN on a device of the crew, a name and a password elsewhere. */
export function SignIn({ session, onIn, isOver = false }: SignInProps) {
  const byPin = session.people.length > 0;
  const [isByPassword, setByPassword] = useState(!byPin);
  return (
    <Box sx={styles.signIn}>
      <PlainHttp />
      {isByPassword ? <ByPassword onIn={onIn} /> : <ByPin session={session} isOver={isOver} onIn={onIn} />}
      {byPin && (
        <Button variant="text" onClick={() => setByPassword(!isByPassword)}>
          {isByPassword ? 'By PIN' : 'By password'}
        </Button>
      )}
    </Box>
  );
}

interface ByProps {
  onIn: SignInProps['onIn'];
}

function ByPin({ session, isOver, onIn }: ByProps & { session: SessionResponse; isOver: boolean }) {
  const of = useRequestForm(SignInRequest, {
    first: { name: session.person?.name ?? '', pin: '' },
    send: async (asked) => {
      try {
        await signIn(asked);
      } catch (error) {
        // A wrong one is typed anew.
        form.setValue('pin', '');
        throw error;
      }
      onIn?.(asked.name);
    },
  });
  const { form } = of;
  const { name, pin = '' } = useWatch({ control: form.control });
  const chosen = session.people.find((own) => own.name === name);
  const notPin = form.formState.errors.pin?.message;
  return (
    <SavingForm of={of} sx={styles.byPin} acts={null}>
      <Box component="ul" sx={isOver ? styles.names : styles.hooks} aria-label="Who is it?">
        {session.people.map((own) => (
          <li key={own.name}>
            <ButtonBase
              sx={isOver ? styles.name : styles.tag}
              aria-pressed={own.name === chosen?.name}
              onClick={() => {
                form.clearErrors();
                form.setValue('name', own.name);
                form.setValue('pin', '');
              }}
            >
              {own.name}
            </ButtonBase>
          </li>
        ))}
      </Box>
      {chosen === undefined ? (
        <Box component="p" sx={[looks.lead, styles.lead]}>
          Take your name off the hook.
        </Box>
      ) : (
        <Box sx={[styles.pinOf, isOver && styles.pinOver]}>
          <PinPad
            key={chosen.name}
            name={chosen.name}
            value={pin}
            isSmall={isOver}
            onChange={(typed) => form.setValue('pin', typed)}
            onEnter={() => void of.submit()}
            busy={of.busy}
          />
          {notPin !== undefined && (
            <Typography variant="fault" role="alert">
              {notPin}
            </Typography>
          )}
          {chosen.pin !== undefined && (
            <Typography variant="note">
              The made-up house has no secrets: {chosen.name}’s PIN is {chosen.pin}.
            </Typography>
          )}
        </Box>
      )}
    </SavingForm>
  );
}

function ByPassword({ onIn }: ByProps) {
  const of = useRequestForm(SignInRequest, {
    first: { name: '', password: '' },
    send: async (asked) => {
      await signIn(asked);
      onIn?.(asked.name);
    },
  });
  return (
    <SavingForm
      of={of}
      sx={styles.byPassword}
      acts={
        <Button type="submit" variant="contained" size="large" disabled={of.busy}>
          {of.busy ? 'Looking' : 'Sign in'}
        </Button>
      }
    >
      <FormWords<SignInRequest> name="name" label="Name" autoComplete="username" maxLength={40} autoFocus />
      <FormWords<SignInRequest> name="password" label="Password" type="password" autoComplete="current-password" maxLength={200} />
    </SavingForm>
  );
}

import Alert from '@mui/material/Alert';

/** What a page that came without encryption cannot do, said plainly. Nothing on a secure page, or at the machine itself. */
export function PlainHttp() {
  if (window.isSecureContext) return null;
  return (
    <Alert severity="caution" variant="outlined" icon={false} role="note">
      <b>This page came by plain http.</b> Whoever is on this network can read what is typed here, PINs and passwords too. Notices of the system, and the app
      without a connection, work with TLS only: docs/operations.md says how to put it before the house.
    </Alert>
  );
}

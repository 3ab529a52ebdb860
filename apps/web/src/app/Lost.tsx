import { Title } from '../kit/Title';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';

/** An address that leads nowhere. */
export function Lost() {
  return (
    <Box sx={looks.page}>
      <Title>There is nothing here</Title>
      <Box component="p" sx={looks.lead}>
        The address leads nowhere.
      </Box>
      <Button component={Link} to="/">
        Go to Today
      </Button>
    </Box>
  );
}

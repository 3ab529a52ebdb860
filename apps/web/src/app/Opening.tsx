import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import { t } from '../theme/tokens';
import { f } from '../theme/type';

/** While nobody knows yet who stands here: the rail and the ground of Today, as index.html drew them before. */
export const Opening = () => (
  <>
    <Box
      sx={{
        ...f(26, 28, 600, { letterSpacing: '.04em', textTransform: 'uppercase' }),
        boxSizing: 'border-box',
        height: 132,
        padding: '20px 18px',
        background: t.enamel.main,
        color: t.enamel.on,
        '@media (max-width: 719px)': { height: 154, padding: '8px 12px', fontSize: 20 },
      }}
    >
      Bunkhouse
    </Box>
    <Box
      role="status"
      aria-label="Opening the house"
      sx={{ display: 'grid', gap: '10px', padding: '12px', maxWidth: 860, '@media (min-width: 720px)': { marginLeft: '64px' } }}
    >
      <Skeleton height={40} width={280} />
      <Skeleton height={190} />
      <Skeleton height={190} />
    </Box>
  </>
);

import Button from '@mui/material/Button';
import type { Diffusivity } from '@bunkhouse/core';
import { Link } from 'react-router';
import { digits } from '../../../reader/quantities';

const TEN_BILLIONTHS = 1e10;

/** How fast brine is taken to move, and from what that is known. */
export function DiffusivityWords({ diffusivity: { value, low, high, cutFaces } }: { diffusivity: Diffusivity }) {
  const number = (m2s: number) => digits(m2s * TEN_BILLIONTHS, 1);
  return (
    <>
      Diffusion at {number(value)} ({number(low)} to {number(high)}) × 10⁻¹⁰ m²/s in lean meat,{' '}
      {cutFaces === 0 ? 'the usual figure, a modelling choice.' : `learnt from ${cutFaces === 1 ? 'one cut face' : `${cutFaces} cut faces`} of this house.`}{' '}
      <Button variant="text" component={Link} to="/learnt">
        What the house has learnt
      </Button>
      .
    </>
  );
}

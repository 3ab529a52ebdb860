import { build, setUpPackages } from './setUp.mjs';
import { giveUp } from './steps.mjs';

try {
  await setUpPackages();
  await build();
} catch (error) {
  giveUp(error);
}

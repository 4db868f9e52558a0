/** Before each sandboxed suite: waiting ends for what hangs, not for a machine that is busy. */
import { configure } from '@testing-library/dom';

configure({ asyncUtilTimeout: 20_000 });

import { z } from 'zod';

export const finite = z.number().finite();

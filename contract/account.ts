import { z } from 'zod';

export const SignIn = z.strictObject({
  email: z.string().trim().toLowerCase().max(254).pipe(z.email()),
  password: z.string().min(1).max(200),
});
export type SignIn = z.infer<typeof SignIn>;

import { Field } from './Field';

interface PasswordNowProps {
  label: string;
  value: string;
  onChangeText: (password: string) => void;
}

/** The password as it is, asked for again where something is made that lets in. */
export const PasswordNow = (props: PasswordNowProps) => (
  <Field {...props} secureTextEntry autoComplete="current-password" />
);

import { LEAST_PASSWORD } from '@pedastance/contract/passwords';
import { Field } from './Field';
import { messages } from './NewPasswordField.messages';

/** What is wrong with a new password in the field of this label; empty where it is long enough. */
export const newPasswordFault = (label: string, password: string): string =>
  password.length < LEAST_PASSWORD ? messages.passwordExpected(label, LEAST_PASSWORD, password.length) : '';

interface NewPasswordFieldProps {
  label: string;
  value: string;
  onChangeText: (password: string) => void;
}

/** A password that is being chosen, with how long it has to be. */
export function NewPasswordField({ label, value, onChangeText }: NewPasswordFieldProps) {
  return (
    <Field
      label={label}
      help={messages.longBeatsTricky(LEAST_PASSWORD)}
      value={value}
      onChangeText={onChangeText}
      secureTextEntry
      autoComplete="new-password"
    />
  );
}

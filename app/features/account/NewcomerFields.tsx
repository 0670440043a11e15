import { Field } from '../../ui/Field';
import { NewPasswordField, newPasswordFault } from '../../ui/NewPasswordField';
import { messages } from './NewcomerFields.messages';

export interface NewcomerTyped {
  name: string;
  email: string;
  password: string;
}

export const NOTHING_TYPED: NewcomerTyped = { name: '', email: '', password: '' };

/** What is wrong with what a newcomer typed; empty where it can be sent. */
export function newcomerFault({ name, email, password }: NewcomerTyped): string {
  if (name.trim() === '') return messages.nameExpected;
  if (!email.includes('@')) return messages.emailExpected(email);
  return newPasswordFault(messages.password, password);
}

interface NewcomerFieldsProps {
  typed: NewcomerTyped;
  onChange: (typed: NewcomerTyped) => void;
}

/** Name, address and a long password of somebody who begins an academy or joins one. */
export function NewcomerFields({ typed, onChange }: NewcomerFieldsProps) {
  return (
    <>
      <Field
        label={messages.yourName}
        value={typed.name}
        onChangeText={(name) => onChange({ ...typed, name })}
        autoComplete="name"
        maxLength={80}
      />
      <Field
        label={messages.eMailAddress}
        value={typed.email}
        onChangeText={(email) => onChange({ ...typed, email })}
        autoComplete="username"
        inputMode="email"
        autoCapitalize="none"
      />
      <NewPasswordField
        label={messages.password}
        value={typed.password}
        onChangeText={(password) => onChange({ ...typed, password })}
      />
    </>
  );
}

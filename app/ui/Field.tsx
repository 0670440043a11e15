import { useId } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { Body, Quiet } from './Words';

interface FieldProps extends Omit<TextInputProps, 'className'> {
  label: string;
  /** What stands right of the box: a unit. */
  unit?: string | undefined;
  help?: string | undefined;
  fault?: string | undefined;
}

/** A labelled box to type in, with its unit, a hint, and what is wrong with what was typed. */
export function Field({ label, unit, help, fault, multiline, ...input }: FieldProps) {
  const id = useId();
  return (
    <View className="gap-1">
      <Quiet nativeID={`${id}-label`}>{unit ? `${label}, ${unit}` : label}</Quiet>
      <TextInput
        aria-labelledby={`${id}-label`}
        aria-describedby={`${id}-more`}
        aria-invalid={Boolean(fault)}
        multiline={multiline}
        placeholderTextColor="rgb(var(--pencil))"
        className={`figures rounded-md border bg-sheet px-3 font-text text-lg text-ink ${multiline ? 'min-h-[88px] py-2' : 'h-12'} ${fault ? 'border-2 border-rust' : 'border-ink'}`}
        {...input}
      />
      <View nativeID={`${id}-more`}>
        {fault ? (
          <Body role="alert" className="text-rust">{`▲ ${fault}`}</Body>
        ) : help ? (
          <Quiet>{help}</Quiet>
        ) : null}
      </View>
    </View>
  );
}

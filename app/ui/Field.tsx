import { wellFormed } from '@pedastance/contract/wellFormed';
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
export function Field({ label, unit, help, fault, multiline, onChangeText, ...input }: FieldProps) {
  const id = useId();
  const name = unit ? `${label}, ${unit}` : label;
  return (
    <View className="gap-1">
      <Quiet aria-hidden>{name}</Quiet>
      <TextInput
        aria-label={name}
        aria-describedby={`${id}-more`}
        aria-invalid={Boolean(fault)}
        multiline={multiline}
        className={`figures rounded-md border bg-sheet px-3 font-text text-lg text-ink placeholder:text-pencil ${multiline ? 'min-h-[88px] py-2' : 'h-12'} ${fault ? 'border-2 border-rust' : 'border-ink'}`}
        // What a paste may bring and no record can keep is left out at once.
        onChangeText={(typed) => onChangeText?.(wellFormed(typed))}
        {...input}
      />
      <View nativeID={`${id}-more`}>
        {fault ? <Body role="alert" tone="rust">{`▲ ${fault}`}</Body> : help ? <Quiet>{help}</Quiet> : null}
      </View>
    </View>
  );
}

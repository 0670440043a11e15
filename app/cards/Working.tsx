import { View } from 'react-native';
import { common } from '../domain/common.messages';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Quiet } from '../ui/Words';
import type { Computation } from '../workers/useComputation';

/** Said while something is worked out; where it could not be, that, and the way to try again. */
export function Working({
  of: { failed, again },
  words = common.working,
}: {
  of: Pick<Computation<unknown>, 'failed' | 'again'>;
  words?: string;
}) {
  if (!failed) return <Quiet>{words}</Quiet>;
  return (
    <View className="gap-2">
      <Notice kind="trouble" live>
        {common.couldNotBeWorkedOut}
      </Notice>
      <View className="flex-row">
        <Button look="quiet" words={common.tryAgain} onPress={again} />
      </View>
    </View>
  );
}

import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';

/** What stands under a choice: what it means, or what is wrong with it. */
export function Below({ hint = '', error }: { hint?: string; error?: string | undefined }) {
  if (!hint && !error) return null;
  return (
    <View role={error ? 'alert' : undefined}>
      <Words as="small" tone={error ? 'rowan' : 'faint'}>
        {error ?? hint}
      </Words>
    </View>
  );
}

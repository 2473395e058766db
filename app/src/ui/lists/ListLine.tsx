import { List } from 'react-native-paper';
import { useType } from '@/theme/useType';
import { Words } from '@/ui/layout/Words';

interface Props {
  title: string;
  says: string;
  /** What a press on the line does. */
  action: string;
  onPress: () => void;
}

/**
 * A line of a list that is pressed as a whole. One that is not pressed itself would count as switched off on the web, with
 * all that is in it.
 */
export function ListLine({ title, says, action, onPress }: Props) {
  const strong = useType('strong');
  const small = useType('small');
  return (
    <List.Item
      title={title}
      titleNumberOfLines={3}
      titleStyle={strong}
      description={says}
      descriptionStyle={small}
      {...{ role: 'button' }}
      accessibilityLabel={`${action}: ${title}`}
      onPress={onPress}
      style={{ paddingVertical: 0, paddingRight: 0 }}
      right={() => (
        <Words as="strong" tone="sea" style={{ alignSelf: 'center' }}>
          {action}
        </Words>
      )}
    />
  );
}

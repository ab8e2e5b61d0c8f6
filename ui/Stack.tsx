import { View, type ViewProps, type ViewStyle } from 'react-native';
import { space } from './theme';

interface Props extends ViewProps {
  gap?: keyof typeof space;
  /** Side by side instead of one below the other. */
  row?: boolean;
  wrap?: boolean;
  align?: ViewStyle['alignItems'];
  justify?: ViewStyle['justifyContent'];
}

/** Things one below the other or side by side, with even gaps. */
export const Stack = ({ gap = 's', row, wrap, align, justify, style, ...rest }: Props) => (
  <View
    {...rest}
    style={[
      { gap: space[gap], alignItems: align, justifyContent: justify },
      row && { flexDirection: 'row' },
      wrap && { flexWrap: 'wrap' },
      style,
    ]}
  />
);

import { View } from 'react-native';
import { useTheme } from './theme';

/** How the water looks from above, by the words that are read at the bank. */
const LOOKS: Readonly<Record<string, string>> = {
  clear: '#DCEFEA',
  'blue-green': '#8FC4C0',
  green: '#8FB48A',
  tea: '#8A5A33',
  'grey-brown': '#A59A86',
  'brown soup': '#7A6344',
};

/** The colour of the water; the word stands beside it. */
export function WaterSwatch({ colour }: { colour: string }) {
  const theme = useTheme();
  return (
    <View
      aria-hidden
      style={{
        width: 18,
        height: 18,
        borderRadius: 9,
        borderWidth: 1,
        borderColor: theme.ink2,
        backgroundColor: LOOKS[colour] ?? theme.sand,
      }}
    />
  );
}

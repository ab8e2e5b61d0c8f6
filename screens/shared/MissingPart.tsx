import { Pressable, StyleSheet, Text, View } from 'react-native';
import { MISSING_WORDS } from './missingWords';

/**
 * In place of a frame of screens whose code did not come. It takes nothing from the rest of the program: the theme, the store and
 * our own components may be what is missing.
 */
export function MissingPart() {
  const { title, text } = MISSING_WORDS[navigator.onLine ? 'newer' : 'away'];
  return (
    <View style={s.page}>
      <Text role="heading" aria-level={1} style={s.title}>
        {title}
      </Text>
      <Text role="alert" style={s.text}>
        {text}
      </Text>
      <Pressable role="button" style={s.button} onPress={() => window.location.reload()}>
        <Text style={s.label}>Reload the page</Text>
      </Pressable>
    </View>
  );
}

/** Black on white, at the sizes of the program. */
const s = StyleSheet.create({
  page: { flex: 1, padding: 16, gap: 16, backgroundColor: '#ffffff' },
  title: { fontSize: 22, fontWeight: '600', color: '#111111' },
  text: { fontSize: 17, lineHeight: 25, color: '#111111' },
  button: { minHeight: 56, justifyContent: 'center', padding: 16, borderWidth: 2, borderColor: '#111111' },
  label: { fontSize: 17, fontWeight: '600', textAlign: 'center', color: '#111111' },
});

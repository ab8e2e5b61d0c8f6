import { useRouter } from 'expo-router';
import { GOALS } from '@/core/answer/goals';
import { WALK_MIN } from '@/core/cover/patience';
import { HEIGHT_M } from '@/core/water/leg';
import { useSettings } from '@/store/hooks';
import { ALARMS } from '@/store/records';
import { Block, Button, Choice, Hint, IconButton, NumberField, Screen, Text, plainOptions } from '@/ui';
import { QuantityField } from './QuantityField';
import { isInstalled, useInstall } from './useInstall';
import { type Offline, useOffline } from './useOffline';
import { YesNo } from './YesNo';

const OFFLINE: Readonly<Record<Offline, string>> = {
  ready: 'Ready to use offline. Every screen opens without a signal.',
  coming: 'Not ready to use offline yet: its parts are still loading.',
  insecure: 'Not offline at this address: the browser wants https. Start the server with “npm start -- --https”.',
  never: 'This browser doesn’t keep the program for use offline.',
};

/** Whether it works without a signal, and the way to the home screen. */
function OnThisDevice() {
  const offline = useOffline();
  const install = useInstall();
  return (
    <Block title="On this device">
      <Text>{OFFLINE[offline]}</Text>
      {isInstalled() ? (
        <Hint>Opened from your home screen.</Hint>
      ) : install ? (
        <Button label="Add to home screen" onPress={install} />
      ) : (
        <Hint>To open it like an app, choose “Add to home screen” in the browser’s menu.</Hint>
      )}
    </Block>
  );
}

export function SettingsScreen() {
  const router = useRouter();
  const [s, set] = useSettings();
  return (
    <Screen
      title="Settings"
      subtitle="Changes are saved at once"
      lead={<IconButton label="Back to the plan" icon="back" onPress={() => router.replace('/')} />}
    >
      <Choice
        label="Units"
        options={[
          { value: 'metric', label: 'm, °C, m³/s' },
          { value: 'imperial', label: 'ft, °F, cfs, ips' },
        ]}
        value={s.units}
        onChange={(units) => set({ units })}
      />
      <Choice
        label="Look"
        options={[
          { value: 'daylight', label: 'daylight' },
          { value: 'dusk', label: 'dusk' },
          { value: 'system', label: 'as the device' },
        ]}
        value={s.theme}
        onChange={(theme) => set({ theme })}
      />
      <YesNo
        label="Practice with simulated services"
        value={s.simulated ?? false}
        onChange={(simulated) => set({ simulated })}
      />
      <Hint>Invented gauges and weather for your own waters, too. When off, only the demo’s waters have them.</Hint>
      <YesNo
        label="Single keys: letters on Fish, digits and ? on a desk"
        value={s.keys ?? true}
        onChange={(keys) => set({ keys })}
      />
      <QuantityField
        label="Your height (sets the marks on the leg)"
        quantity="depth"
        value={s.heightM}
        min={HEIGHT_M.least}
        max={HEIGHT_M.most}
        onChange={(heightM) => {
          if (heightM !== null && heightM >= HEIGHT_M.least && heightM <= HEIGHT_M.most) set({ heightM });
        }}
      />
      <Choice
        label="How deep to show the fly (two schools)"
        options={[
          { value: 'near the bed', label: 'near the bed' },
          { value: 'upper to middle', label: 'upper to middle' },
        ]}
        value={s.school}
        onChange={(school) => set({ school })}
      />
      <Hint>
        {s.school === 'near the bed'
          ? 'Used now: near the bed, where an occasional touch shows that the depth is right. The other school keeps the fly in the upper to lower-middle water and never drags it: fish see ahead and above best.'
          : 'Used now: upper to lower-middle water, never dragging. The other school fishes near the bed in bright sun, cold and deep pools, and takes an occasional touch as proof.'}
      </Hint>
      <Choice
        label="Where fish go in high or dirty water (two schools)"
        options={plainOptions(['to the margins', 'out and feeding'] as const)}
        value={s.flood ?? 'to the margins'}
        onChange={(flood) => set({ flood })}
      />
      <Hint>
        {s.flood === 'out and feeding'
          ? 'Used now: they roam and feed on what is washed down, unseen from above. The other school looks tight to the bank, often where one would wade. Both fish the soft sides first.'
          : 'Used now: tight to the bank, often where one would wade. The other school holds that they roam and feed on what is washed down, unseen from above. Both fish the soft sides first.'}
      </Hint>
      <Choice
        label="Goal of the day"
        options={plainOptions(GOALS)}
        value={s.goal ?? 'any'}
        onChange={(goal) => set({ goal })}
      />
      <Choice
        label="End of a rest"
        options={plainOptions(ALARMS)}
        value={s.alarm ?? 'sound and buzz'}
        onChange={(alarm) => set({ alarm })}
      />
      <NumberField
        label="Usual walk to the next run"
        unit="min"
        value={s.walkMin ?? WALK_MIN}
        min={0}
        max={180}
        onChange={(walkMin) => {
          if (walkMin !== null && walkMin >= 0 && walkMin <= 180) set({ walkMin });
        }}
      />
      <YesNo label="Ask your log by the moon, too" value={s.moon ?? false} onChange={(moon) => set({ moon })} />
      <Button
        label="Where good anglers disagree"
        hint="Mends, motion, colour, size in murk, tippet and more"
        onPress={() => router.push('/schools')}
      />
      <OnThisDevice />
      <Block title="About Wanderung">
        <Text>
          Wanderung gives estimates, not permission. Local rules decide. Learn hard casts and hard wading with a
          qualified instructor. Your data stays in this browser and in the files you export.
        </Text>
      </Block>
    </Screen>
  );
}

import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useVersion } from '@/platform/version';
import { keepsPages, leaveFor, styleHolds } from '@/platform/page';

/** Whether it runs as an app of its own already. */
const isInstalled = (): boolean => styleHolds('(display-mode: standalone)');

/** Installing as an app, or what it needs first. */
export function InstallPart() {
  const install = useVersion((state) => state.install);
  if (isInstalled()) return <Words>Keep Snug runs as an app of its own here, and opens without the server.</Words>;
  if (install)
    return (
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action onPress={() => void install()}>Install as an app</Action>
      </View>
    );
  return !keepsPages() ? (
    <View style={{ gap: 4 }}>
      <Words>
        This page came over a line that this browser does not trust, so it cannot be installed, cannot open while the
        server is off, and cannot keep the screen on.
      </Words>
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action onPress={() => leaveFor('/trust')}>Trust this house</Action>
      </View>
    </View>
  ) : (
    <Words>
      It opens without the server. To install it as an app, use “Add to home screen” or “Install” in the menu of your
      browser.
    </Words>
  );
}

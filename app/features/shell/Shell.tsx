import { Redirect, Slot, usePathname } from 'expo-router';
import { Suspense, useEffect } from 'react';
import { View } from 'react-native';
import { useAccount } from '../../state/account';
import { usePreferences } from '../../state/preferences';
import { ErrorBoundary } from './ErrorBoundary';
import { Shortcuts } from './Shortcuts';
import { StatusStrip } from './StatusStrip';
import { startApp } from './start';
import { Waiting } from '../../ui/Waiting';

function useLight(): void {
  const light = usePreferences((state) => state.light);
  useEffect(() => {
    const dark = matchMedia('(prefers-color-scheme: dark)');
    const apply = () =>
      document.documentElement.classList.toggle(
        'dusk',
        light === 'dusk' || (light === 'as the device' && dark.matches),
      );
    apply();
    dark.addEventListener('change', apply);
    return () => dark.removeEventListener('change', apply);
  }, [light]);
}

/** Around every screen: who is signed in, what is not sent yet, and the light. */
export function Shell() {
  useLight();
  useEffect(startApp, []);
  const status = useAccount((state) => state.status);
  const path = usePathname();
  const signingIn = path === '/sign-in';
  // Whoever begins an academy or joins one is signed in nowhere yet.
  const entering = signingIn || ['/start', '/join', '/reset', '/recover'].includes(path);
  if (status === 'starting') return <Waiting />;
  if (status === 'signed out' && !entering) return <Redirect href="/sign-in" />;
  if (status === 'signed in' && (signingIn || path === '/start')) return <Redirect href="/students" />;
  return (
    <View className="h-full flex-1 bg-paper">
      {!entering && <StatusStrip />}
      <ErrorBoundary>
        <Suspense fallback={<Waiting />}>
          <Slot />
        </Suspense>
      </ErrorBoundary>
      <Shortcuts />
    </View>
  );
}

import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/Words';
import { messages } from './ErrorBoundary.messages';

/** How the bundler and browsers word a part of the app that could not be loaded. */
const NOT_LOADED = /load(ing)? (module|script|chunk)|dynamically imported module|importing a module script/i;
const RELOADED_AT = 'reloadedAt';
/** A reload that did not help is not tried again by itself within this time. */
const AGAIN_AFTER_MS = 60_000;

/**
 * Loads the app again at the address where it failed: the router has gone with the screen, and the address with it. An open
 * lesson was kept as its screen went.
 */
function reloadAt(address: string): void {
  history.replaceState(history.state, '', address);
  location.reload();
}

/** Reloads by itself, once: the server may have a newer app than this page, whose old parts are gone. */
function reloadOnceAt(address: string): void {
  const last = Number(sessionStorage.getItem(RELOADED_AT) ?? 0);
  if (Date.now() - last < AGAIN_AFTER_MS || !navigator.onLine) return;
  sessionStorage.setItem(RELOADED_AT, String(Date.now()));
  reloadAt(address);
}

interface Failed {
  error: Error | null;
  /** Where the coach was when it failed. */
  address: string;
}

interface Props {
  children: ReactNode;
}

/** Stands in for a screen that failed: says what happened and how to go on. Everything entered is on the device. */
export class ErrorBoundary extends Component<Props, Failed> {
  override state: Failed = { error: null, address: '' };

  static getDerivedStateFromError(error: Error) {
    return { error, address: location.href };
  }

  override componentDidCatch(error: Error): void {
    if (NOT_LOADED.test(error.message)) reloadOnceAt(this.state.address);
  }

  override render(): ReactNode {
    const { error, address } = this.state;
    if (!error) return this.props.children;
    const notLoaded = NOT_LOADED.test(error.message);
    return (
      <View role="main" className="gap-3 p-4">
        <Notice kind="trouble" live>
          <Body className="font-semibold">
            {notLoaded ? messages.aPartOfTheApp : messages.thisScreenHasFailed}
          </Body>
          <Body>{notLoaded ? messages.itMayHaveBeenUpdated : messages.whatYouEnteredIsKept}</Body>
        </Notice>
        <Button words={messages.reload} onPress={() => reloadAt(address)} />
      </View>
    );
  }
}

import type { Colleague, Invite, Role } from '@pedastance/contract';
import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { day } from '../../domain/students';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { ShownOnce } from './ShownOnce';
import { useAsked } from '../../state/useAsked';

const OTHER_ROLE: Record<Role, Role> = { owner: 'instructor', instructor: 'owner' };

interface PersonProps {
  person: Colleague;
  isMe: boolean;
  /** Whether whoever looks may change it. */
  mayChange: boolean;
  onChange: (role: Role, ends: boolean) => void;
  onReset: () => void;
}

/** What an owner may do about a colleague; ending access is asked twice. */
function Change({ person, onChange, onReset }: Pick<PersonProps, 'person' | 'onChange' | 'onReset'>) {
  const [ending, setEnding] = useState(false);
  const other = OTHER_ROLE[person.role];
  if (ending)
    return (
      <Notice kind="caution" live>
        <Body>{messages.endAccessAsked(person.name)}</Body>
        <View className="flex-row flex-wrap gap-3 pt-2">
          <Button words={messages.keepAccess} onPress={() => setEnding(false)} />
          <Button look="plain" words={messages.endIt} onPress={() => onChange(person.role, true)} />
        </View>
      </Notice>
    );
  return (
    <View className="flex-row flex-wrap">
      <Button
        look="quiet"
        words={other === 'owner' ? messages.makeOwner(person.name) : messages.makeInstructor(person.name)}
        onPress={() => onChange(other, false)}
      />
      <Button look="quiet" words={messages.newPasswordFor(person.name)} onPress={onReset} />
      <Button look="quiet" words={messages.endAccess(person.name)} onPress={() => setEnding(true)} />
    </View>
  );
}

function Person({ person, isMe, mayChange, ...changes }: PersonProps) {
  const { name, role, since, endedAt } = person;
  const told = [
    endedAt ? messages.ended(day(endedAt)) : messages.roles[role],
    isMe ? messages.you : messages.since(day(since)),
  ];
  return (
    <View className="gap-1 border-b border-grid py-2" testID="colleague">
      <Body className="font-semibold">{name}</Body>
      <Quiet>{told.join(' · ')}</Quiet>
      {mayChange && !isMe && !endedAt && <Change person={person} {...changes} />}
    </View>
  );
}

/** A link whose secret is shown this once; it stands behind the #, which no browser sends along. */
interface MadeLink {
  path: '/join' | '/reset';
  code: string;
  words: string;
}

function NewLink({ path, code, words }: MadeLink) {
  const link = `${location.origin}${path}#${code}`;
  return (
    <ShownOnce words={words} secret={link} copyWords={messages.copyLink}>
      <Body selectable className="break-all" testID="link-once">
        {link}
      </Body>
    </ShownOnce>
  );
}

function Invites({ invites, onWithdraw }: { invites: readonly Invite[]; onWithdraw: (id: string) => void }) {
  if (invites.length === 0) return null;
  return (
    <View className="gap-1">
      <Quiet>{messages.open(invites.length)}</Quiet>
      {invites.map(({ id, role, expiresAt }) => (
        <View key={id} className="flex-row items-center justify-between gap-2 border-b border-grid">
          <Body>{messages.invitation(messages.roles[role], day(expiresAt))}</Body>
          <Button look="quiet" words={messages.withdraw} onPress={() => onWithdraw(id)} />
        </View>
      ))}
    </View>
  );
}

/** Who is in an academy; an owner invites, changes and ends. */
export function People({ identity }: { identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => api.people(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  const [link, setLink] = useState<MadeLink | null>(null);
  const me = value?.colleagues.find(({ id }) => id === identity.instructorId);
  const mayChange = me?.role === 'owner';
  const owners = value?.colleagues.filter(({ role, endedAt }) => role === 'owner' && !endedAt) ?? [];
  const invite = (role: Role) =>
    doing(async () => {
      const { code } = await api.invite(owner, { role });
      setLink({ path: '/join', code, words: messages.linkOnce });
    });
  const reset = ({ id, name }: Colleague) =>
    doing(async () => {
      const { code } = await api.resetColleague(owner, id);
      setLink({ path: '/reset', code, words: messages.resetOnce(name) });
    });
  return (
    <View className="gap-3" testID="people">
      <Heading>{messages.whoIsIn}</Heading>
      {value?.colleagues.map((person) => (
        <Person
          key={person.id}
          person={person}
          isMe={person.id === identity.instructorId}
          mayChange={mayChange}
          onReset={() => void reset(person)}
          onChange={(role, ends) =>
            void doing(() => api.changeColleague(owner, { id: person.id, role, ends }))
          }
        />
      ))}
      {mayChange && owners.length === 1 && <Quiet>{messages.onlyOwner}</Quiet>}
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {link && <NewLink key={link.code} {...link} />}
      {mayChange && (
        <View className="gap-2">
          <Heading>{messages.inviteSomebody}</Heading>
          <View className="flex-row flex-wrap gap-3">
            {(['instructor', 'owner'] as const).map((role) => (
              <Button
                key={role}
                look="plain"
                words={messages.inviteAs(messages.roles[role])}
                onPress={() => void invite(role)}
              />
            ))}
          </View>
          <Invites
            invites={value?.invites ?? []}
            onWithdraw={(id) => void doing(() => api.withdrawInvite(owner, id))}
          />
        </View>
      )}
    </View>
  );
}

import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ownZone, useFound, useMe } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';

/** A group to search in, coordinated by whoever founds it. */
export function FoundGroup() {
  const navigate = useNavigate();
  const steward = useMe().data?.steward === true;
  const found = useFound(
    (id) => void navigate(`/g/${id}/${steward ? 'catalogue/sources' : 'group'}`, { replace: true }),
  );
  const [name, setName] = useState('');
  const [person, setPerson] = useState('');
  return (
    <Entrance
      says={`A group is who searches, keeps and reviews together. ${
        steward
          ? 'Found the first one; sources and headings come next.'
          : 'Found one and ask others in, or wait until somebody asks you into theirs.'
      }`}
      onSubmit={() => found.mutate({ name, person, zone: ownZone() })}
    >
      <EntranceField
        label="Name of the group"
        autoFocus
        maxLength={120}
        value={name}
        onChange={setName}
      />
      <EntranceField
        label="Your name, as the group sees it"
        autoComplete="name"
        maxLength={120}
        value={person}
        onChange={setPerson}
      />
      <EntranceEnd act="Found the group" busy={found.isPending} error={found.error} />
    </Entrance>
  );
}

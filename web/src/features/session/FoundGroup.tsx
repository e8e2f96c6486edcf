import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ownZone, useFound } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';

/** A steward's first act: a group to search in. */
export function FoundGroup() {
  const navigate = useNavigate();
  const found = useFound((id) => void navigate(`/g/${id}/catalogue/sources`, { replace: true }));
  const [name, setName] = useState('');
  const [person, setPerson] = useState('');
  return (
    <Entrance
      says="A group is who searches, keeps and reviews together. Found the first one; sources and headings come next."
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

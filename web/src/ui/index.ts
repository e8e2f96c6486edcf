export { AccessWord, isReadHere } from './AccessWord';
export { Act } from './Act';
export { leaving, neighboursOf } from './cameFrom';
export { Choice } from './Choice';
export { ChooseFile } from './ChooseFile';
export { Dialog } from './Dialog';
export { DialogForm } from './DialogForm';
export { ChoiceField, NameField, TextField } from './Fields';
export { Lamp } from './Lamp';
export { Menu } from './Menu';
export { Marked, type Span } from './Marked';
export { NoticeContext, useNotice, type Notice } from './notices';
export { useCopyAddress, useCopyLink, useCopyText } from './useCopyLink';
export { Failed, Waiting } from './Problems';
export {
  chosenDates,
  citesWords,
  copiesLink,
  setCitesWords,
  setCopiesLink,
  chosenTheme,
  DATE_LANGUAGES,
  followDevice,
  keysAreOn,
  setDates,
  setKeys,
  setTheme,
  showTheme,
  theme,
  type Theme,
} from './settings';
export {
  clock,
  counted,
  day,
  dayOf,
  listed,
  moment,
  people,
  setZone,
  shortDay,
  timeOfDay,
} from './text';
export { useAddress } from './useAddress';
export { usePlace, type Place } from './usePlace';
export { useUnderWay } from './useUnderWay';
export { typedJustNow } from './typing';
export { isKeyHere, useKeys, type KeyMap } from './useKeys';
export { keepFocus } from './keepFocus';
export { holdStrayClicks } from './strayClicks';
export { Sentences } from './Sentences';
export { ListPane } from './ListPane';
export { OrderChoice } from './OrderChoice';
export { ZoneInput } from './ZoneInput';
export { PageLinks } from './PageLinks';
export { PublicationRow } from './PublicationRow';
export { TwoPanes } from './TwoPanes';

export { useMeetings } from './api';
export { MeetingPage } from './MeetingPage';
export { MeetingsPage } from './MeetingsPage';
export { whenOf } from './words';

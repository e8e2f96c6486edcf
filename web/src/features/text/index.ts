export { RequestLine } from './RequestLine';
export { useLend, useLender, useRequests } from './api';
export { Ways } from './Ways';

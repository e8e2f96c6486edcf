export { RequestLine } from './RequestLine';
export { useLend, useLender, useRequests } from './api';
export { DescribedPage } from './DescribedPage';
export { Ways } from './Ways';

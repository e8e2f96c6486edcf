import { createBrowserRouter, Navigate, useLocation, useParams } from 'react-router';
import { AccountPage } from '../features/account';
import { ActivityPage } from '../features/activity';
import { BibliographyPage } from '../features/bibliography';
import { AlertPage, AlertsPage } from '../features/alerts';
import { BoardPage } from '../features/board';
import { BringPage, BroughtPage, ListPage } from '../features/bringing';
import { DrivePage } from '../features/drive';
import { ArrivalListPage, ArrivalsPage, MarkPage } from '../features/arrivals';
import {
  FollowedPage,
  HeadingsPage,
  HoldingsPage,
  HousePage,
  JournalsPage,
  RequestsPage,
  SourcesPage,
} from '../features/catalogue';
import { SentPage } from '../features/export';
import { FeedsPage } from '../features/feeds';
import { FlowPage } from '../features/flow';
import { BinPage, FolderPage, FolderPeoplePage, FoldersPage } from '../features/folders';
import { GroupPage } from '../features/group';
import { HelpPage } from '../features/help';
import { NotesPage } from '../features/margin';
import { MeetingPage, MeetingsPage } from '../features/meetings';
import { PublicationPage } from '../features/publication';
import { QuestionPage, QuestionsPage } from '../features/questions';
import { ReadingPage } from '../features/reading';
import { NotePage, ReportPage } from '../features/report';
import { SavedSearchPage } from '../features/saved';
import { SearchPage } from '../features/search';
import {
  AddressPage,
  EntryPage,
  ForgottenPage,
  FoundGroup,
  JoinPage,
  SignInPage,
} from '../features/session';
import { TasksPage } from '../features/tasks';
import { DescribedPage } from '../features/text';
import { TodayPage } from '../features/today';
import { ComparePage, TrailPage } from '../features/trail';
import { Broken } from './Broken';
import { Frame } from './Frame';
import { Lost } from './Lost';
import { MyGroup } from './MyGroup';

function OpenPublication() {
  const { id } = useParams();
  return <MyGroup to={`p/${id}`} />;
}

function OpenDescribed() {
  return <MyGroup to={`described${useLocation().search}`} />;
}

export const router = createBrowserRouter([
  { path: '/', element: <MyGroup to="today" /> },
  { path: '/sign-in', element: <SignInPage /> },
  { path: '/enter', element: <EntryPage /> },
  { path: '/forgotten', element: <ForgottenPage /> },
  { path: '/address', element: <AddressPage /> },
  { path: '/join', element: <JoinPage /> },
  { path: '/found', element: <FoundGroup /> },
  { path: '/open/p/:id', element: <OpenPublication /> },
  { path: '/open/described', element: <OpenDescribed /> },
  {
    path: '/g/:group',
    element: <Frame />,
    errorElement: <Broken />,
    children: [
      { index: true, element: <Navigate to="today" replace /> },
      { path: 'today', element: <TodayPage /> },
      { path: 'tasks', element: <TasksPage /> },
      { path: 'sent', element: <SentPage /> },
      { path: 'bring', element: <BringPage /> },
      { path: 'b/:id', element: <BroughtPage /> },
      { path: 'drive', element: <DrivePage /> },
      { path: 'references', element: <ListPage /> },
      { path: 'questions', element: <QuestionsPage /> },
      { path: 'questions/:id', element: <QuestionPage /> },
      { path: 'activity', element: <ActivityPage /> },
      { path: 'group', element: <GroupPage /> },
      { path: 'account', element: <AccountPage /> },
      { path: 'search', element: <SearchPage /> },
      { path: 'q/:q', element: <SearchPage /> },
      { path: 'trail', element: <TrailPage /> },
      { path: 'compare', element: <ComparePage /> },
      { path: 'report', element: <ReportPage /> },
      { path: 'help', element: <HelpPage /> },
      { path: 'help/:place', element: <HelpPage /> },
      { path: 'n/:id', element: <NotePage /> },
      { path: 'notes', element: <NotesPage /> },
      { path: 's/:id', element: <SavedSearchPage /> },
      { path: 'p/:id', element: <PublicationPage /> },
      { path: 'p/:id/text', element: <ReadingPage /> },
      { path: 'described', element: <DescribedPage /> },
      { path: 'arrivals', element: <ArrivalsPage /> },
      { path: 'board', element: <BoardPage /> },
      { path: 'flow', element: <FlowPage /> },
      { path: 'meetings', element: <MeetingsPage /> },
      { path: 'meetings/:id', element: <MeetingPage /> },
      { path: 'arrivals/:list', element: <ArrivalListPage /> },
      { path: 'r/:round', element: <ArrivalsPage /> },
      { path: 'mark/:id', element: <MarkPage /> },
      { path: 'folders', element: <FoldersPage /> },
      { path: 'bin', element: <BinPage /> },
      { path: 'f/:id', element: <FolderPage /> },
      { path: 'f/:id/bibliography', element: <BibliographyPage /> },
      { path: 'f/:id/people', element: <FolderPeoplePage /> },
      { path: 'alerts', element: <AlertsPage /> },
      { path: 'a/:id', element: <AlertPage /> },
      { path: 'feeds', element: <FeedsPage /> },
      { path: 'catalogue', element: <Navigate to="headings" replace /> },
      { path: 'catalogue/headings', element: <HeadingsPage /> },
      { path: 'catalogue/journals', element: <JournalsPage /> },
      { path: 'catalogue/sources', element: <SourcesPage /> },
      { path: 'catalogue/followed', element: <FollowedPage /> },
      { path: 'catalogue/holdings', element: <HoldingsPage /> },
      { path: 'catalogue/requests', element: <RequestsPage /> },
      { path: 'catalogue/house', element: <HousePage /> },
      { path: '*', element: <Lost /> },
    ],
  },
  { path: '*', element: <Lost /> },
]);

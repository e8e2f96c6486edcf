export { AskAct } from './AskAct';
export { QuestionPage } from './QuestionPage';
export { QuestionsPage } from './QuestionsPage';
export { useQuestions } from './api';
export { asSeen } from './seen';

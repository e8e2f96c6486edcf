export { NewTaskDialog } from './TaskDialog';
export { TasksOf } from './TasksOf';
export { TasksPage } from './TasksPage';
export { useTasks, useTasksOf } from './api';

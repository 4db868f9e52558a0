import 'server-only';

export { answerAcceptance } from './answer-acceptance';
export { changeNeed, type NeedChange } from './change-need';
export { keepPicture } from './keep-picture';
export { putPictureAway } from './put-picture-away';
export { listAnswers, standingAnswer } from './view-answers';
export { listPictures, listPicturesOfRun, openPicture } from './view-pictures';

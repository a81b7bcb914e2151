import { pictureOf } from '../../core/job';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { useJob } from '../job/use-job';
import { useTakePhoto } from './use-take-photo';

/** The camera of the phone, one tap away at every stop: the picture belongs to the move in hand. */
export function QuickPicture() {
  const { job, stop } = useJob();
  const { take, busy, wrong } = useTakePhoto();
  if (job.handedOver) return null;
  const of = pictureOf(job, stop);
  return (
    <div className="quick-picture">
      <FileButton
        disabled={busy !== ''}
        label="Picture with the camera"
        accept="image/*"
        capture="environment"
        onFiles={(chosen) => void take(chosen, { caption: '', ...(of ? { of } : {}) })}
      >
        <svg width="22" height="18" viewBox="0 0 22 18" aria-hidden="true">
          <path
            d="M1.5 4.5h4.2l1.6-3h7.4l1.6 3h4.2v12h-19z"
            fill="none"
            stroke="currentColor"
            strokeWidth="2"
            strokeLinejoin="round"
          />
          <circle cx="11" cy="10.2" r="3.6" fill="none" stroke="currentColor" strokeWidth="2" />
        </svg>
        {busy || 'Picture'}
      </FileButton>
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}

import { PowerSign } from '../../../../features/donor/powerup/PowerSign';
import { PowerUpSheet } from '../../../../features/donor/powerup/PowerUpSheet';
import { StopButton } from '../../../../features/donor/powerup/StopButton';
import { powerUpView } from '../../../../features/donor/powerup/view.server';
import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('First power-up');

export default async function PowerUpPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const view = await powerUpView(dossier);
  const sign =
    view.kind === 'steps' ? (
      <div className="power-head">
        <PowerSign sign={view.sign} />
        {view.current && (
          <StopButton code={frame.code} step={view.current.step.id} isPowered={view.sign.state === 'on'} />
        )}
      </div>
    ) : undefined;
  return (
    <DonorPage frame={frame} station="record" branch="power-up" sign={sign}>
      <PowerUpSheet code={frame.code} model={frame.model} view={view} />
    </DonorPage>
  );
}

/** Heat of a machine with a liquid-cooled engine, lumped into a block and its coolant. °C, s, W, W/K, J/K. Common practice, no source: plausible, not one machine. */
export interface HeatSetup {
  ambientC: number;
  /** W that go into the block while the engine runs. */
  powerW: number;
  /** The thermostat: from closed at `opensC` to open `spanK` above; `stuckOpen` never closes. */
  thermostat: { opensC: number; spanK: number; stuckOpen: boolean };
  fan: { onC: number; offC: number };
  /** How hard air goes through the radiator: 1 standing, 2.5 on the road. */
  airflow: number;
}

export interface HeatState {
  blockC: number;
  coolantC: number;
  oilC: number;
  intakeC: number;
  fanOn: boolean;
}

const BLOCK_J_K = 26_000;
const COOLANT_J_K = 15_000;
const BLOCK_TO_COOLANT_W_K = 420;
/** Share of that which still passes when nothing pumps. */
const STANDING = 0.4;
/** What block and hoses lose to the air by themselves. */
const LOSS_W_K = 18;
const RADIATOR_W_K = 48;
/** With the fan the radiator takes so many times as much. */
const FAN_TIMES = 2.4;
const OIL_S = 160;
const INTAKE_S = 45;
/** Share of the bay's heat that reaches the intake: little while air is drawn, much while it stands. */
const INTAKE_SHARE = { running: 0.06, standing: 0.28 } as const;
/** Longest step that is integrated in one go, s. */
const STEP_S = 0.25;

/** A machine that stood overnight: everything at the temperature of the air. */
export const coldMachine = ({ ambientC }: HeatSetup): HeatState => ({
  blockC: ambientC,
  coolantC: ambientC,
  oilC: ambientC,
  intakeC: ambientC,
  fanOn: false,
});

/**
 * The machine `seconds` later, the engine running or not. Explicit Euler in steps of a quarter second: the fastest time constant is 35 s.
 * With the engine off nothing pumps: the radiator rests and the block goes on heating the coolant beside the sensor (heat soak).
 */
export function afterHeat(state: HeatState, setup: HeatSetup, running: boolean, seconds: number): HeatState {
  const s = { ...state };
  const { ambientC, thermostat, fan } = setup;
  const steps = Math.max(1, Math.ceil(seconds / STEP_S));
  const dt = seconds / steps;
  for (let i = 0; i < steps; i++) {
    if (s.coolantC > fan.onC) s.fanOn = true;
    else if (s.coolantC < fan.offC || !running) s.fanOn = false;
    const opening = thermostat.stuckOpen
      ? 1
      : Math.min(1, Math.max(0, (s.coolantC - thermostat.opensC) / thermostat.spanK));
    const radiator = running ? RADIATOR_W_K * opening * setup.airflow * (s.fanOn ? FAN_TIMES : 1) : 0;
    const across = BLOCK_TO_COOLANT_W_K * (running ? 1 : STANDING) * (s.blockC - s.coolantC);
    s.blockC += (dt / BLOCK_J_K) * ((running ? setup.powerW : 0) - across - LOSS_W_K * (s.blockC - ambientC));
    s.coolantC += (dt / COOLANT_J_K) * (across - (radiator + LOSS_W_K / 2) * (s.coolantC - ambientC));
    s.oilC += (dt / OIL_S) * (s.blockC + (running ? 4 : 0) - s.oilC);
    const intake = ambientC + (running ? INTAKE_SHARE.running : INTAKE_SHARE.standing) * (s.blockC - ambientC);
    s.intakeC += (dt / INTAKE_S) * (intake - s.intakeC);
  }
  return s;
}

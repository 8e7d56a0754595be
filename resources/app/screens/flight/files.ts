/** As library/schema/balls.schema.json has it. */
export type BallFile = { about: string; balls: Record<string, BallNumbers> };
export type BallNumbers = { diameter_m: number; drag_coefficient: number; source: string };

/** As library/schema/courts.schema.json has it; what is drawn courtside is not edited here. */
export type CourtFile = { about: string; courts: Record<string, CourtNumbers> };
export type CourtNumbers = {
    usual_speed_ms: number;
    reach_share: number;
    nets: { name: string; height_m: number }[];
    net_sag?: { middle_m: number; post_m: number; post_across_m: number };
};

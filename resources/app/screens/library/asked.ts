/** What a picture can be asked, in the words of the film page; degrees, or lengths of the trunk. */
export const FIGURES = [
    ['throwing_elbow', 'Elbow, °'],
    ['throwing_shoulder', 'Upper arm from the trunk, °'],
    ['throwing_hip', 'Hip, °'],
    ['throwing_knee', 'Back knee, °'],
    ['other_elbow', 'Front elbow, °'],
    ['other_shoulder', 'Front arm from the trunk, °'],
    ['other_hip', 'Front hip, °'],
    ['other_knee', 'Front knee, °'],
    ['trunk_tilt', 'Trunk, towards the target, °'],
    ['shoulder_line', 'Shoulders, front one higher, °'],
    ['wrist_above_elbow', 'Wrist above the elbow, trunks'],
    ['elbow_above_shoulder', 'Elbow above the shoulder, trunks'],
    ['ball_above_shoulder', 'Ball above the shoulder, trunks'],
    ['ball_forward', 'Ball beyond the front foot, trunks'],
    ['landing_offset', 'Feet right of the run-up line, trunks'],
] as const;

/** How a moment is proposed on the film page. */
export const FINDS = [
    ['', 'by hand alone'],
    ['hand_fastest', 'throwing hand fastest'],
    ['hand_highest', 'throwing hand highest'],
    ['hand_back', 'throwing hand furthest behind'],
    ['hand_lowest', 'throwing hand lowest'],
    ['toss_hand', 'other hand rising fastest'],
    ['front_foot_down', 'front foot comes to stand'],
    ['hips_highest', 'hips highest'],
    ['hips_lowest', 'hips lowest'],
    ['foot_down', 'a foot on the ground again'],
] as const;

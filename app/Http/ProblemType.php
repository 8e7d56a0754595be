<?php

declare(strict_types=1);

namespace App\Http;

/**
 * What went wrong, by kind. The value is the last part of the URI that names it (`/problems/not-found`) and never changes; what people
 * read may.
 */
enum ProblemType: string
{
    case NotFromHere = 'not-from-here';
    case SignedOut = 'signed-out';
    case SomebodyElseIsSignedIn = 'somebody-else-is-signed-in';
    case NotYoursToDo = 'not-yours-to-do';
    case NoSquadYet = 'no-squad-yet';
    case NotFound = 'not-found';
    case ThisLinkDoesNotWorkAnyMore = 'this-link-does-not-work-any-more';
    case ASeasonIsOpen = 'a-season-is-open';
    case AskFirst = 'ask-first';
    case AlreadyCounted = 'already-counted';
    case AlreadyFinished = 'already-finished';
    case AlreadyOnTheWayBack = 'already-on-the-way-back';
    case AlreadyStarted = 'already-started';
    case ChangedMeanwhile = 'changed-meanwhile';
    case Closed = 'closed';
    case DecidedMeanwhile = 'decided-meanwhile';
    case EndedMeanwhile = 'ended-meanwhile';
    case NobodyAgreedToFilm = 'nobody-agreed-to-film';
    case NotAdded = 'not-added';
    case NotKept = 'not-kept';
    case NotToday = 'not-today';
    case NothingToConfirm = 'nothing-to-confirm';
    case NothingToTakeBack = 'nothing-to-take-back';
    case OnThisLadderAlready = 'on-this-ladder-already';
    case SomethingComesFirst = 'something-comes-first';
    case StillInUse = 'still-in-use';
    case TheHeadCoach = 'the-head-coach';
    case TooMuchAtOnce = 'too-much-at-once';
    case NotReadable = 'not-readable';
    case NotUnderstood = 'not-understood';
    case AGuardianSigns = 'a-guardian-signs';
    case AReasonIsNeeded = 'a-reason-is-needed';
    case ASquadIsNeeded = 'a-squad-is-needed';
    case AWordIsNeeded = 'a-word-is-needed';
    case AnAthleteIsNeeded = 'an-athlete-is-needed';
    case AnotherProgrammeIsNeeded = 'another-programme-is-needed';
    case FootOfTheLadder = 'foot-of-the-ladder';
    case InNoSquad = 'in-no-squad';
    case ItStays = 'it-stays';
    case NoSuchLimit = 'no-such-limit';
    case NoSuchProgramme = 'no-such-programme';
    case NoSuchRuleSet = 'no-such-rule-set';
    case NoSuchRung = 'no-such-rung';
    case NobodyIsBeingPlaced = 'nobody-is-being-placed';
    case NobodyToPlanFor = 'nobody-to-plan-for';
    case NotACopy = 'not-a-copy';
    case NotEnoughSeen = 'not-enough-seen';
    case NotInThisSquad = 'not-in-this-squad';
    case NotMoved = 'not-moved';
    case NotOnALadder = 'not-on-a-ladder';
    case NotOnThisDay = 'not-on-this-day';
    case NotOnThisLadder = 'not-on-this-ladder';
    case NotScoredYet = 'not-scored-yet';
    case NotSignedIn = 'not-signed-in';
    case NotThisAccount = 'not-this-account';
    case NotThisCode = 'not-this-code';
    case NotYet = 'not-yet';
    case NotYourOwn = 'not-your-own';
    case NotYoursToShare = 'not-yours-to-share';
    case NothingToAccept = 'nothing-to-accept';
    case NothingWasErased = 'nothing-was-erased';
    case NothingWasImported = 'nothing-was-imported';
    case OverAHardLimit = 'over-a-hard-limit';
    case SomeOfItCannotBeUsed = 'some-of-it-cannot-be-used';
    case SomebodyIsOnThatRung = 'somebody-is-on-that-rung';
    case SomethingIsStillToBeMeasured = 'something-is-still-to-be-measured';
    case ThisLadderCannotBeUsedYet = 'this-ladder-cannot-be-used-yet';
    case TooEarly = 'too-early';
    case TooLate = 'too-late';
    case TooLateToTakeBack = 'too-late-to-take-back';
    case TopOfTheLadder = 'top-of-the-ladder';
    case TooManyTries = 'too-many-tries';
    case ThisDidNotWork = 'this-did-not-work';
    case ALibraryFileCannotBeRead = 'a-library-file-cannot-be-read';

    public function uri(): string
    {
        return "/problems/{$this->value}";
    }

    /** @return int of HTTP */
    public function status(): int
    {
        return match ($this) {
            self::NotFromHere,
            self::NotReadable => 400,
            self::SignedOut,
            self::SomebodyElseIsSignedIn => 401,
            self::AWordIsNeeded,
            self::NotYoursToDo => 403,
            self::NoSquadYet,
            self::NotFound,
            self::ThisLinkDoesNotWorkAnyMore => 404,
            self::ASeasonIsOpen,
            self::AlreadyCounted,
            self::AskFirst,
            self::AlreadyFinished,
            self::AlreadyOnTheWayBack,
            self::AlreadyStarted,
            self::ChangedMeanwhile,
            self::Closed,
            self::DecidedMeanwhile,
            self::EndedMeanwhile,
            self::NobodyAgreedToFilm,
            self::NotAdded,
            self::NotKept,
            self::NotToday,
            self::NothingToConfirm,
            self::NothingToTakeBack,
            self::OnThisLadderAlready,
            self::SomethingComesFirst,
            self::StillInUse,
            self::TheHeadCoach => 409,
            self::TooMuchAtOnce => 413,
            self::NotUnderstood => 415,
            self::TooManyTries => 429,
            self::ThisDidNotWork => 500,
            self::ALibraryFileCannotBeRead => 503,
            default => 422,
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::NotFromHere => 'Not from here',
            self::SignedOut => 'Signed out',
            self::SomebodyElseIsSignedIn => 'Somebody else is signed in',
            self::NotYoursToDo => 'Not yours to do',
            self::NoSquadYet => 'No squad yet',
            self::NobodyAgreedToFilm => 'Not agreed to',
            self::NotFound => 'Not found',
            self::ThisLinkDoesNotWorkAnyMore => 'This link does not work any more',
            self::ASeasonIsOpen => 'A season is open',
            self::AlreadyCounted => 'Counted already',
            self::AskFirst => 'Ask first',
            self::AlreadyFinished => 'Already finished',
            self::AlreadyOnTheWayBack => 'Already on the way back',
            self::AlreadyStarted => 'Already started',
            self::ChangedMeanwhile => 'Changed meanwhile',
            self::Closed => 'Closed',
            self::DecidedMeanwhile => 'Decided meanwhile',
            self::EndedMeanwhile => 'Ended meanwhile',
            self::NotAdded => 'Not added',
            self::NotKept => 'Not kept',
            self::NotToday => 'Not today',
            self::NothingToConfirm => 'Nothing to confirm',
            self::NothingToTakeBack => 'Nothing to take back',
            self::OnThisLadderAlready => 'On this ladder already',
            self::SomethingComesFirst => 'Something comes first',
            self::StillInUse => 'Still in use',
            self::TheHeadCoach => 'The head coach',
            self::TooMuchAtOnce => 'Too much at once',
            self::NotReadable, self::NotUnderstood => 'Not understood',
            self::AGuardianSigns => 'A guardian signs',
            self::AReasonIsNeeded => 'A reason is needed',
            self::ASquadIsNeeded => 'A squad is needed',
            self::AWordIsNeeded => 'A word is needed',
            self::AnAthleteIsNeeded => 'An athlete is needed',
            self::AnotherProgrammeIsNeeded => 'Another programme is needed',
            self::FootOfTheLadder => 'Foot of the ladder',
            self::InNoSquad => 'In no squad',
            self::ItStays => 'It stays',
            self::NoSuchLimit => 'No such limit',
            self::NoSuchProgramme => 'No such programme',
            self::NoSuchRuleSet => 'No such rule set',
            self::NoSuchRung => 'No such rung',
            self::NobodyIsBeingPlaced => 'Nobody is being placed',
            self::NobodyToPlanFor => 'Nobody to plan for',
            self::NotACopy => 'Not a copy',
            self::NotEnoughSeen => 'Not enough seen',
            self::NotInThisSquad => 'Not in this squad',
            self::NotMoved => 'Not moved',
            self::NotOnALadder => 'Not on a ladder',
            self::NotOnThisDay => 'Not on this day',
            self::NotOnThisLadder => 'Not on this ladder',
            self::NotScoredYet => 'Not scored yet',
            self::NotSignedIn => 'Not signed in',
            self::NotThisAccount => 'Not this account',
            self::NotThisCode => 'Not this code',
            self::NotYet => 'Not yet',
            self::NotYourOwn => 'Not your own',
            self::NotYoursToShare => 'Not yours to share',
            self::NothingToAccept => 'Nothing to accept',
            self::NothingWasErased => 'Nothing was erased',
            self::NothingWasImported => 'Nothing was imported',
            self::OverAHardLimit => 'Over a hard limit',
            self::SomeOfItCannotBeUsed => 'Some of it cannot be used',
            self::SomebodyIsOnThatRung => 'Somebody is on that rung',
            self::SomethingIsStillToBeMeasured => 'Something is still to be measured',
            self::ThisLadderCannotBeUsedYet => 'This ladder cannot be used yet',
            self::TooEarly => 'Too early',
            self::TooLate => 'Too late',
            self::TooLateToTakeBack => 'Too late to take back',
            self::TopOfTheLadder => 'Top of the ladder',
            self::TooManyTries => 'Too many tries',
            self::ThisDidNotWork => 'This did not work',
            self::ALibraryFileCannotBeRead => 'A library file cannot be read',
        };
    }
}

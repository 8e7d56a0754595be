<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\People\Rights;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A spreadsheet is whose who brought it in; the head coach sees what all bring in. Others learn not even that it is there. */
final class ImportPolicy
{
    public function view(User $user, Import $import): Response
    {
        $own = $import->made_by === $user->id || Rights::isHead($user);

        return $import->workspace_id === $user->workspace_id && $user->role->decides() && $own
            ? Response::allow()
            : Response::denyAsNotFound();
    }

    /** What it does is done in the name of who brought it in. */
    public function change(User $user, Import $import): Response
    {
        $seen = $this->view($user, $import);

        return $seen->denied() || $import->made_by === $user->id
            ? $seen
            : Response::deny('This is for '.$import->maker()->value('name').' to do, who brought it in.');
    }
}

<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Http\DescribesItself;
use App\People\GivenLink;
use App\People\Link;
use Illuminate\Foundation\Http\FormRequest;

/** What somebody with an invitation, or with a link to a new password, says of themselves. */
final class JoinRequest extends FormRequest implements DescribesItself
{
    private ?Link $link = null;

    public function link(): Link
    {
        return $this->link ??= GivenLink::to($this, Link::INVITATION, Link::PASSWORD);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $link = $this->link();
        $isKnown = $link->purpose === Link::PASSWORD;
        $own = $isKnown
            ? [$link->user()->firstOrFail()->name, $link->user()->firstOrFail()->email]
            : array_filter([$this->input('name'), $this->input('email')], is_string(...));
        $password = ['required', 'string', new GoodPassword([$link->workspace()->firstOrFail()->name, ...array_values($own)])];

        return $isKnown ? ['password' => $password] : [
            'password' => $password,
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'unique:users,email'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.unique' => 'There is an account with this e-mail already: sign in with it.'];
    }

    /** A new password needs no name: the link knows it. */
    public function described(): array
    {
        return ['password' => ['required', new GoodPassword], 'name' => ['string', 'max:120'], 'email' => ['email']];
    }
}

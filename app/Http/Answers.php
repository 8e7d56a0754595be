<?php

declare(strict_types=1);

namespace App\Http;

use Attribute;

/** What a controller method answers; the API description takes path, method and parameters from the route itself. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Answers
{
    /**
     * @param  class-string|null  $view  null when there is nothing to say
     * @param  bool  $list  whether it answers a list of such views
     * @param  array<string, string>  $query  types of what may stand in the query, by name
     */
    public function __construct(public ?string $view, public bool $list = false, public array $query = []) {}
}

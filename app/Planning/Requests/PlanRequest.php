<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Planning\Planned;
use App\Workshop\ShopAtHand;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Policy\ShopPolicy;

/** What somebody wants planned, as they said it. Turns it into an operation of the core for this shop. */
interface PlanRequest
{
    /** @return array<string, list<mixed>> how a request has to look */
    public static function rules(): array;

    /**
     * @param  array<string, mixed>  $request  after the rules
     * @param  'mm'|'in'  $units  of a length that names none
     */
    public static function of(array $request, string $units): self;

    /**
     * @param  ShopPolicy|null  $policy  to plan by; null for the one in force
     *
     * @throws ValidationException beside the field that cannot be understood
     * @throws CoreException when it contradicts itself
     */
    public function plan(ShopAtHand $shop, ?ShopPolicy $policy = null): Planned;
}

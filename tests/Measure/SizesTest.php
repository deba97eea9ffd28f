<?php

declare(strict_types=1);

/**
 * @param  array{string, string}  ...$typed  what is typed, and what for
 * @return list<array<string, mixed>>
 */
function understood(array ...$typed): array
{
    $sizes = array_map(static fn (array $each): array => ['text' => $each[0], 'as' => $each[1]], $typed);

    return test()->postJson('/api/measure/sizes', ['default_unit' => 'mm', 'sizes' => $sizes])->assertOk()->json();
}

beforeEach(fn () => $this->actingAs($this->person()));

it('says back what the fields of a page were understood as, in one call', function (): void {
    [$fraction, $hole, $thread, $stock] = understood(['3/8', 'size'], ['8 H7', 'hole'], ['8-32', 'thread'], ['6 ft', 'length']);
    expect($fraction)->toBe(['text' => '3/8', 'as' => 'size', 'diameter_mm' => 9.525, 'system' => 'fraction_inch', 'designation' => '3/8'])
        ->and($hole)->toMatchArray(['diameter_mm' => 8, 'fit' => 'H7', 'lower_mm' => 8, 'upper_mm' => 8.015])
        ->and($thread)->toMatchArray(['designation' => '#8-32 UNC', 'diameter_mm' => 4.1656])
        ->and($stock['diameter_mm'])->toBe(1828.8);
});

it('says of each what was meant, and of none but its own', function (): void {
    [$fine, $thread, $eight, $tolerance] = understood(
        ['half inch', 'size'], ['M8', 'length'], ['8', 'thread'], ['6.8 +0.1', 'size'],
    );
    expect($fine['diameter_mm'])->toBe(12.7)
        ->and($thread['fault'])->toContain('M8x1.25')
        ->and($eight['fault'])->toContain('M8x1.25')->toContain('#8-32')
        ->and($tolerance['fault'])->toContain('Write the size alone here: 6.8');
});

it('says it in the language of the page', function (): void {
    $answer = $this->withHeader('Accept-Language', 'es')
        ->postJson('/api/measure/sizes', ['sizes' => [['text' => '8', 'as' => 'thread']]])->assertOk()->json('0.fault');
    expect($answer)->toContain('Escriba cuál');
});

it('refuses what is no list of sizes', function (mixed $sizes): void {
    $this->postJson('/api/measure/sizes', ['sizes' => $sizes])->assertUnprocessable();
})->with([
    'nothing' => [[]], 'a text' => ['3/8'], 'a list of texts' => [['3/8']], 'another kind' => [[['text' => '3/8', 'as' => 'colour']]],
    'a list for a text' => [[['text' => ['3/8'], 'as' => 'size']]], 'too many' => [array_fill(0, 101, ['text' => '3', 'as' => 'size'])],
    'more than it takes' => [[['text' => '3', 'as' => 'size', 'also' => 1]]],
]);

it('plans a reamed hole that is written with its class, as the field understood it', function (): void {
    $wish = [
        'machine' => 'bench-drill', 'material' => 'mild_steel', 'thickness' => '12', 'purpose' => 'reamed', 'size' => '8H7',
        'through' => true,
    ];
    $this->postJson('/api/planning/hole', $wish)->assertOk();
    $this->postJson('/api/planning/hole', [...$wish, 'size' => '8 h7'])->assertUnprocessable()
        ->assertJsonPath('errors.size.0', fn (string $words): bool => str_contains($words, 'H7'));
    $this->postJson('/api/planning/hole', [...$wish, 'fit' => 'H9'])->assertUnprocessable()->assertJsonValidationErrors('fit');
});

<?php

declare(strict_types=1);

use App\Learning\Lesson;
use App\People\Role;
use App\Policy\Shop;

it('tells the lead alone how far the shop has come', function (): void {
    $this->actingAs($this->instructor())->getJson('/api/content/set-up')->assertForbidden();
    $this->getJson('/api/content/packs')->assertForbidden();
    $this->postJson('/api/content/packs/drill-press')->assertForbidden();
    $this->putJson('/api/workshop/shop', ['name' => 'X', 'language' => 'es'])->assertForbidden();
    $this->actingAs($this->person(Role::Lead));
    $this->getJson('/api/content/set-up')->assertOk()->assertJson(['content' => true, 'badges' => false]);
    Shop::query()->delete();
    $this->getJson('/api/content/set-up')->assertJson(['shop' => false]);
    $this->putJson('/api/workshop/shop', ['name' => 'Marsh Lane', 'language' => 'es'])->assertOk();
    $this->putJson('/api/workshop/shop', ['name' => 'Marsh Lane', 'language' => 'tlh'])->assertJsonValidationErrors('language');
    $this->getJson('/api/content/set-up')->assertJson(['shop' => true]);
    $this->getJson('/api/people/me')->assertJsonPath('shop', ['name' => 'Marsh Lane', 'language' => 'es']);
});

it('takes a shipped pack in from the screen, and says what it is in the language that is spoken', function (): void {
    all_permits();
    $this->actingAs($this->person(Role::Lead, ['language' => 'es']));
    Lesson::query()->where('code', 'A2')->update(['translations' => '{}']);
    $this->postJson('/api/content/packs/none')->assertNotFound();
    $this->postJson('/api/content/packs/drill-press')->assertOk()->assertJson(['code' => 'drill-press', 'lessons' => 8, 'faults' => []]);
    expect(Lesson::query()->where('code', 'A2')->first()->getRawOriginal('translations'))->toContain('es');
    $english = $this->getJson('/api/content/packs', ['Accept-Language' => 'en'])->json('0.title');
    $spanish = $this->getJson('/api/content/packs', ['Accept-Language' => 'es'])->assertOk()->json('0.title');
    expect($spanish)->not->toBe($english);
});

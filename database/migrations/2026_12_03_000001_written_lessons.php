<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lessons that the shop writes itself, the files that each version was read from, and packs that were brought along. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->jsonb('sources')->nullable()->comment('the files that it was read from, by language, to the letter');
            $table->boolean('own')->default(false)->comment('written in this shop, not taken in with a pack');
            $table->foreignId('published_by')->nullable()->constrained('people_users');
            $table->timestampTz('published_at')->nullable();
            $table->timestampTz('retired_at')->nullable()->comment('no longer begun by anybody');
        });
        Schema::create('content_files', function (Blueprint $table): void {
            $table->string('pack');
            $table->string('path');
            $table->text('body');
            $table->primary(['pack', 'path']);
        });
    }

    public function down(): void
    {
        Schema::drop('content_files');
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->dropColumn(['sources', 'own', 'published_by', 'published_at', 'retired_at']);
        });
    }
};

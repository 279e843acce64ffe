<script setup lang="ts">
import { limits, type Build, type Order } from '@pyrgotect/core';
import { ref } from 'vue';
import NotePhoto from '../bench/NotePhoto.vue';
import QuantityField from '../figures/QuantityField.vue';
import WordField from '../figures/WordField.vue';
import { keepPicture } from '../storage/photos.ts';
import { useBuild } from '../stores/build.ts';
import FileKey from '../parts/FileKey.vue';

/** Who ordered it, what was agreed, and pictures of what is wished. */
const props = defineProps<{ build: Build }>();
const store = useBuild();
const problem = ref('');
const edit = (label: string, change: Partial<Order>): void =>
  store.edit(label, (draft) => void Object.assign(draft.order, change));

async function addPicture(file: File): Promise<void> {
  problem.value = '';
  try {
    const id = await keepPicture(file, props.build.id);
    store.edit('Picture of the wish', (draft) => void draft.order.pictures.push(id));
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
/** The picture itself stays as long as the cake: undo brings it back. */
const dropPicture = (id: string): void =>
  edit('Picture taken away', { pictures: props.build.order.pictures.filter((one) => one !== id) });
</script>

<template>
  <section data-test="order">
    <h2>The order</h2>
    <div class="words">
      <WordField
        name="ordered by"
        :most="limits.nameLength.max"
        autocomplete="off"
        :model-value="build.order.customer"
        @update:model-value="edit('Customer', { customer: $event })"
      />
      <WordField
        name="telephone or address"
        :most="limits.contactLength.max"
        autocomplete="off"
        :model-value="build.order.contact"
        @update:model-value="edit('Contact', { contact: $event })"
      />
    </div>
    <p class="sentence">
      Offered for
      <QuantityField
        :model-value="build.order.priceOffered"
        :of="limits.agreedPrice"
        label="Price offered"
        auto="no price yet"
        nullable
        @update:model-value="(n) => edit('Price offered', { priceOffered: n })"
      />, with a deposit of
      <QuantityField
        :model-value="build.order.deposit"
        :of="limits.agreedPrice"
        label="Deposit"
        auto="none"
        nullable
        @update:model-value="(n) => edit('Deposit', { deposit: n })"
      />.
    </p>
    <div class="flags">
      <v-checkbox
        :model-value="build.order.depositPaid"
        label="deposit paid"
        :disabled="build.order.deposit === null"
        @update:model-value="(is) => edit('Deposit paid', { depositPaid: is === true })"
      />
      <v-checkbox
        :model-value="build.order.confirmed"
        label="confirmed"
        data-test="confirmed"
        @update:model-value="(is) => edit('Confirmed', { confirmed: is === true })"
      />
    </div>
    <div class="pictures">
      <figure v-for="id in build.order.pictures" :key="id">
        <NotePhoto :id="id" title="what is wished" />
        <KeyButton size="small" variant="text" @click="dropPicture(id)">Take away</KeyButton>
      </figure>
      <FileKey
        v-if="build.order.pictures.length < limits.wishPictures.max"
        size="small"
        accept="image/*"
        label="A picture of the wish"
        @take="addPicture"
        >Add a picture of the wish</FileKey
      >
    </div>
    <p>
      <KeyButton size="small" :to="`/build/${build.id}/offer`" data-test="to-offer">
        A sheet for the one who orders
      </KeyButton>
    </p>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
    <p class="soft">
      Name and address stay in this browser and in the cake’s file, and are on no print. Pictures
      stay in this browser.
    </p>
  </section>
</template>

<style scoped src="./brief-words.css" />
<style scoped>
.flags {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.pictures {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  margin: 8px 0;
}
figure {
  margin: 0;
  display: grid;
  justify-items: start;
}
.warn {
  color: var(--warn);
}
</style>
